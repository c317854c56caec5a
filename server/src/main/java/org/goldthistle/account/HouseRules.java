package org.goldthistle.account;

import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the leads set for everybody: how long a session may lie still before it ends. */
@Service
class HouseRules {
    static final int SHORTEST_IDLE = 5; // minutes
    static final int LONGEST_IDLE = 30 * 24 * 60;

    private final JdbcClient jdbc;
    private final AuditTrail audit;

    HouseRules(JdbcClient jdbc, AuditTrail audit) {
        this.jdbc = jdbc;
        this.audit = audit;
    }

    /** How long a session may lie still. */
    @Transactional(readOnly = true)
    public Duration idle() {
        return Duration.ofMinutes(jdbc.sql("select idle_minutes from house_rule")
                .query(Integer.class)
                .single());
    }

    /**
     * Changes how long sessions may lie still, those that are open too.
     *
     * @throws Problem if that is too short to read a tree, or longer than a session may last
     */
    @Transactional
    public void changeIdle(int minutes, UUID leadId) {
        if (minutes < SHORTEST_IDLE || minutes > LONGEST_IDLE) {
            throw Problem.unfit(
                    ProblemType.UNFIT_IDLE_LIMIT,
                    "A session may lie still for " + SHORTEST_IDLE + " minutes to 30 days, but " + minutes
                            + " minutes were sent. Nothing was changed.");
        }
        long before = idle().toMinutes();
        jdbc.sql("update house_rule set idle_minutes = ?").param(minutes).update();
        jdbc.sql("update spring_session set max_inactive_interval = :seconds,"
                        + " expiry_time = last_access_time + :seconds * 1000")
                .param("seconds", minutes * 60L)
                .update();
        if (before != minutes) {
            audit.note(Optional.of(leadId), "changed how long sessions may lie still", Place.NOWHERE, before, minutes);
        }
    }
}
