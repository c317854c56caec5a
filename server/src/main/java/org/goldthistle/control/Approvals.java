package org.goldthistle.control;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which calls leads approved for control, and took back; the last word about a tree counts. */
@Component
class Approvals {
    private final JdbcClient jdbc;
    private final Clock clock;

    Approvals(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * The last word about a tree.
     *
     * @param determinationId what stood when it was said
     * @param by call sign of who said it
     */
    record Approval(UUID id, UUID treeId, UUID determinationId, boolean approved, String by, Instant at) {}

    /** The last word about each tree of a survey. */
    Map<UUID, Approval> of(UUID surveyId) {
        Map<UUID, Approval> last = new LinkedHashMap<>();
        jdbc.sql("select distinct on (a.tree_id) a.*, o.call_sign from control_approval a"
                        + " join observer o on o.id = a.observer_id where a.survey_id = ?"
                        + " order by a.tree_id, a.entry_order desc")
                .param(surveyId)
                .query((row, i) -> new Approval(
                        row.getObject("id", UUID.class),
                        row.getObject("tree_id", UUID.class),
                        row.getObject("determination_id", UUID.class),
                        row.getBoolean("approved"),
                        row.getString("call_sign"),
                        row.getTimestamp("recorded_at").toInstant()))
                .list()
                .forEach(one -> last.put(one.treeId(), one));
        return last;
    }

    /** The tree that an approval is of; empty: there is no such approval. */
    Optional<UUID> treeOf(UUID approvalId) {
        return jdbc.sql("select tree_id from control_approval where id = ?")
                .param(approvalId)
                .query(UUID.class)
                .optional();
    }

    void store(UUID id, UUID surveyId, UUID treeId, UUID determinationId, boolean approved, UUID observerId) {
        jdbc.sql("insert into control_approval (id, survey_id, tree_id, determination_id, approved, observer_id,"
                        + " recorded_at) values (?, ?, ?, ?, ?, ?, ?)")
                .params(id, surveyId, treeId, determinationId, approved, observerId, Timestamp.from(clock.instant()))
                .update();
    }
}
