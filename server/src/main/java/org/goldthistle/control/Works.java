package org.goldthistle.control;

import java.sql.Date;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What was done with trees; the last word about a tree counts. */
@Component
class Works {
    private static final String WORKS =
            "select w.*, o.call_sign from control_work w join observer o on o.id = w.observer_id";

    private final JdbcClient jdbc;
    private final Clock clock;

    Works(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A word, whose it is, and of which tree. */
    record Kept(UUID treeId, UUID observerId, ControlListDto.WorkDto work) {}

    Optional<Kept> find(UUID workId) {
        return jdbc.sql(WORKS + " where w.id = ?")
                .param(workId)
                .query(Works::kept)
                .optional();
    }

    /** The last word about a tree. */
    Optional<Kept> last(UUID treeId) {
        return jdbc.sql(WORKS + " where w.tree_id = ? order by w.entry_order desc limit 1")
                .param(treeId)
                .query(Works::kept)
                .optional();
    }

    /** The last word about each tree of a survey. */
    Map<UUID, ControlListDto.WorkDto> of(UUID surveyId) {
        Map<UUID, ControlListDto.WorkDto> last = new LinkedHashMap<>();
        jdbc.sql(WORKS + " where w.survey_id = ? order by w.entry_order")
                .param(surveyId)
                .query(Works::kept)
                .list()
                .forEach(one -> last.put(one.treeId(), one.work()));
        return last;
    }

    /** The words about a tree, the latest first. */
    List<ControlListDto.WorkDto> ofTree(UUID treeId) {
        return jdbc
                .sql(WORKS + " where w.tree_id = ? order by w.entry_order desc")
                .param(treeId)
                .query(Works::kept)
                .list()
                .stream()
                .map(Kept::work)
                .toList();
    }

    private static Kept kept(ResultSet row, int i) throws SQLException {
        return new Kept(
                row.getObject("tree_id", UUID.class),
                row.getObject("observer_id", UUID.class),
                new ControlListDto.WorkDto(
                        row.getObject("id", UUID.class),
                        row.getString("what"),
                        row.getDate("done_on").toLocalDate(),
                        row.getString("note"),
                        row.getString("call_sign")));
    }

    void store(UUID workId, UUID surveyId, UUID observerId, NewWork sent) {
        jdbc.sql("insert into control_work (id, survey_id, tree_id, after_id, what, done_on, note, observer_id,"
                        + " recorded_at) values (?, ?, ?, ?, ?, ?, ?, ?, ?)")
                .params(
                        workId,
                        surveyId,
                        sent.treeId(),
                        sent.after(),
                        sent.what(),
                        Date.valueOf(sent.doneOn()),
                        sent.note().strip(),
                        observerId,
                        Timestamp.from(clock.instant()))
                .update();
    }
}
