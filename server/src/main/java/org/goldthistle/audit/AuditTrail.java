package org.goldthistle.audit;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.platform.KeptJson;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;

/** Keeps the trail of changes, each in the transaction of the change itself: either both stand or neither. */
@Service
public class AuditTrail {
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    AuditTrail(JdbcClient jdbc, KeptJson json, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Notes a change.
     *
     * @param observerId who made it; empty: the application itself
     * @param before null: there was nothing
     * @param after null: there is nothing any more
     */
    public void note(
            Optional<UUID> observerId, String what, Place place, @Nullable Object before, @Nullable Object after) {
        note(clock.instant(), observerId, what, place, before, after);
    }

    /** Notes a change that was made at another time. */
    public void note(
            Instant at,
            Optional<UUID> observerId,
            String what,
            Place place,
            @Nullable Object before,
            @Nullable Object after) {
        jdbc.sql("insert into audit_entry (happened_at, observer_id, what, survey_id, plot_id, tree_id, before, after)"
                        + " values (?, ?, ?, ?, ?, ?, ?::jsonb, ?::jsonb)")
                .params(
                        Timestamp.from(at),
                        observerId.orElse(null),
                        what,
                        place.surveyId(),
                        place.plotId(),
                        place.treeId(),
                        json.text(before),
                        json.text(after))
                .update();
    }

    /** Notes a change unless nothing changed. */
    public void noteChange(UUID observerId, String what, Place place, Object before, Object after) {
        if (!Objects.equals(before, after)) {
            note(Optional.of(observerId), what, place, before, after);
        }
    }

    /** All that happened to a tree, the latest first. */
    public List<AuditEntry> ofTree(UUID treeId) {
        return jdbc.sql("select a.happened_at, o.call_sign, a.what, a.before, a.after from audit_entry a"
                        + " left join observer o on o.id = a.observer_id where a.tree_id = ? order by a.id desc")
                .param(treeId)
                .query((row, i) -> entry(row))
                .list();
    }

    /** What happened to a tree as far as an observer may see it: what they did themselves, and what is no reading. */
    public List<AuditEntry> ofTree(UUID treeId, UUID observerId, Set<String> open) {
        return jdbc.sql("select a.happened_at, o.call_sign, a.what, a.before, a.after from audit_entry a"
                        + " left join observer o on o.id = a.observer_id where a.tree_id = :tree"
                        + " and (a.observer_id = :observer or a.what in (:open)) order by a.id desc")
                .param("tree", treeId)
                .param("observer", observerId)
                .param("open", open)
                .query((row, i) -> entry(row))
                .list();
    }

    private AuditEntry entry(ResultSet row) throws SQLException {
        return new AuditEntry(
                row.getTimestamp("happened_at").toInstant(),
                row.getString("call_sign"),
                row.getString("what"),
                json.tree(row.getString("before")),
                json.tree(row.getString("after")));
    }
}
