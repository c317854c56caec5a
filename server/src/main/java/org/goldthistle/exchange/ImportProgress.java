package org.goldthistle.exchange;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** How far the work on a file has come; seen at once, whatever becomes of the work itself. */
@Component
class ImportProgress {
    private final JdbcClient jdbc;
    private final Clock clock;

    ImportProgress(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Whether work on a file is still wanted, so that it begins now: it may have been given up while it waited. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public boolean begins(UUID importId) {
        return jdbc.sql("update import_file set alive_at = ? where id = ? and state in ('checking', 'storing')")
                        .params(Timestamp.from(clock.instant()), importId)
                        .update()
                > 0;
    }

    /**
     * Notes how far it has come.
     *
     * @throws Stopped if somebody asked to stop
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW, noRollbackFor = Stopped.class)
    public void note(UUID importId, long rows, double share) {
        boolean stopped = jdbc.sql("update import_file set rows_done = ?, share_done = ?, alive_at = ? where id = ?"
                        + " returning stop_asked")
                .params(rows, Math.min(1, share), Timestamp.from(clock.instant()), importId)
                .query(Boolean.class)
                .single();
        if (stopped) {
            throw new Stopped();
        }
    }

    /** Notes that it ended, and how. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void end(UUID importId, ImportState state, String told) {
        jdbc.sql("update import_file set state = ?, told = ?, stop_asked = false, alive_at = ? where id = ?")
                .params(state.code(), told, Timestamp.from(clock.instant()), importId)
                .update();
    }

    /** Somebody asked to stop. */
    static final class Stopped extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
