package org.goldthistle.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down whoever guesses passphrases: from the fifth failure in a row on a call sign must wait, first half a
 * minute, then twice as long each time, at most a quarter of an hour. Call signs that nobody has are guarded alike.
 */
@Component
class SignInGuard {
    private static final int FREE_FAILURES = 5;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration FORGOTTEN_AFTER = Duration.ofDays(1);

    private final JdbcClient jdbc;
    private final Clock clock;

    SignInGuard(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** How long this call sign must still wait before it is tried again; zero if it need not. */
    Duration wait(String callSign) {
        Optional<Failures> failures = jdbc.sql(
                        "select failures, last_failure_at from sign_in_guard where call_sign = ?")
                .param(key(callSign))
                .query((row, i) -> new Failures(
                        row.getInt("failures"),
                        row.getTimestamp("last_failure_at").toInstant()))
                .optional();
        return failures.map(failed -> {
                    Duration left =
                            Duration.between(clock.instant(), failed.last().plus(waitAfter(failed.count())));
                    return left.isNegative() ? Duration.ZERO : left;
                })
                .orElse(Duration.ZERO);
    }

    /** Counts a failure, whatever becomes of the caller's transaction. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void failed(String callSign) {
        Instant now = clock.instant();
        jdbc.sql("delete from sign_in_guard where last_failure_at < ?")
                .param(Timestamp.from(now.minus(FORGOTTEN_AFTER)))
                .update();
        jdbc.sql("insert into sign_in_guard values (?, 1, ?) on conflict (call_sign) do update"
                        + " set failures = sign_in_guard.failures + 1, last_failure_at = excluded.last_failure_at")
                .params(key(callSign), Timestamp.from(now))
                .update();
    }

    /** Forgets the failures of a call sign that signed in. */
    void succeeded(String callSign) {
        jdbc.sql("delete from sign_in_guard where call_sign = ?")
                .param(key(callSign))
                .update();
    }

    private static Duration waitAfter(int failures) {
        if (failures < FREE_FAILURES) {
            return Duration.ZERO;
        }
        int doublings = Math.min(failures - FREE_FAILURES, 10);
        Duration wait = FIRST_WAIT.multipliedBy(1L << doublings);
        return wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
    }

    private static String key(String callSign) {
        return callSign.toLowerCase(Locale.ROOT);
    }

    private record Failures(int count, Instant last) {}
}
