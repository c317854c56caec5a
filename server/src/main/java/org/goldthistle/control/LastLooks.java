package org.goldthistle.control;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.LookAsked;
import org.goldthistle.platform.KeptJson;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The last looks that were taken at trees, as they were sent and as they came out. */
@Component
class LastLooks {
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    LastLooks(JdbcClient jdbc, KeptJson json, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** One that is kept already. */
    record Kept(UUID observerId, String sentSha256, LookAsked.LookResult result) {}

    Optional<Kept> find(UUID lookId) {
        return jdbc.sql("select observer_id, sent_sha256, result from last_look where id = ?")
                .param(lookId)
                .query((row, i) -> new Kept(
                        row.getObject("observer_id", UUID.class),
                        row.getString("sent_sha256"),
                        json.read(row.getString("result"), LookAsked.LookResult.class)))
                .optional();
    }

    void store(
            UUID lookId,
            UUID surveyId,
            NewLook sent,
            UUID observerId,
            UUID sheetVersionId,
            LookAsked.LookResult result,
            String print) {
        Instant now = clock.instant();
        Instant at = sent.takenBy(now);
        jdbc.sql(
                        "insert into last_look (id, survey_id, tree_id, approval_id, observer_id, sheet_version_id, made, result,"
                                + " verdict, sent_sha256, looked_at, recorded_at)"
                                + " values (?, ?, ?, ?, ?, ?, ?::jsonb, ?::jsonb, ?, ?, ?, ?)")
                .params(
                        lookId,
                        surveyId,
                        sent.treeId(),
                        sent.approvalId(),
                        observerId,
                        sheetVersionId,
                        json.text(sent),
                        json.text(result),
                        result.verdict(),
                        print,
                        Timestamp.from(at),
                        Timestamp.from(now))
                .update();
    }

    /** The last look at each tree of a survey, with the approval that it was taken under. */
    Map<UUID, Look> of(UUID surveyId) {
        Map<UUID, Look> last = new LinkedHashMap<>();
        jdbc.sql("select distinct on (l.tree_id) l.*, o.call_sign from last_look l"
                        + " join observer o on o.id = l.observer_id where l.survey_id = ?"
                        + " order by l.tree_id, l.entry_order desc")
                .param(surveyId)
                .query(this::look)
                .list()
                .forEach(one -> last.put(one.treeId(), one));
        return last;
    }

    /** The looks at a tree, the latest first. */
    List<ControlListDto.LookDto> ofTree(UUID treeId) {
        return jdbc
                .sql(
                        "select l.*, o.call_sign from last_look l join observer o on o.id = l.observer_id where l.tree_id = ?"
                                + " order by l.entry_order desc")
                .param(treeId)
                .query(this::look)
                .list()
                .stream()
                .map(Look::look)
                .toList();
    }

    private Look look(ResultSet row, int i) throws SQLException {
        return new Look(
                row.getObject("tree_id", UUID.class),
                row.getObject("approval_id", UUID.class),
                new ControlListDto.LookDto(
                        row.getObject("id", UUID.class),
                        row.getString("call_sign"),
                        row.getTimestamp("looked_at").toInstant(),
                        json.read(row.getString("result"), LookAsked.LookResult.class),
                        json.read(row.getString("made"), NewLook.class).readings()));
    }

    /** A look at a tree. */
    record Look(UUID treeId, UUID approvalId, ControlListDto.LookDto look) {}
}
