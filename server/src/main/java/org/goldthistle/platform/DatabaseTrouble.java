package org.goldthistle.platform;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;

/** What ails the database when it refuses something that is nobody's fault. */
enum DatabaseTrouble {
    /** It does not answer, is shutting down, or is starting. */
    AWAY,
    /** Its disk is full. */
    FULL;

    /** What is behind an exception; empty: something else. */
    static Optional<DatabaseTrouble> of(Throwable broken) {
        for (Throwable cause = broken; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLTransientConnectionException) {
                return Optional.of(AWAY); // none of the pool's connections came free
            }
            if (cause instanceof SQLException sql) {
                // without a state it is the pool's own: a connection that broke and was thrown away
                return sql.getSQLState() == null ? Optional.of(AWAY) : of(sql.getSQLState());
            }
        }
        return Optional.empty();
    }

    /** Whether two wrote the same key at one instant, or one what the other took away. */
    static boolean isCollision(Throwable broken) {
        for (Throwable cause = broken; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql) {
                String state = sql.getSQLState();
                return "23505".equals(state) || "23503".equals(state); // unique_violation, foreign_key_violation
            }
        }
        return false;
    }

    /** By the codes of PostgreSQL: its appendix A. */
    private static Optional<DatabaseTrouble> of(String state) {
        if (state.equals("53100")) { // disk_full
            return Optional.of(FULL);
        }
        boolean away = state.startsWith("08") // connection exceptions
                || state.startsWith("57P") // shut down, crashed, starting
                || state.equals("53300"); // too many connections
        return away ? Optional.of(AWAY) : Optional.empty();
    }
}
