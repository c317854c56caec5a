package org.goldthistle.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
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

    /**
     * A call sign is tried: how long it must still wait before that; zero if it need not, and then it is counted as failed
     * until it succeeds. Of tries at one instant each sees those before it.
     */
    @Transactional
    public Duration tries(String callSign) {
        Instant now = clock.instant();
        jdbc.sql("delete from sign_in_guard where last_failure_at < ?")
                .param(Timestamp.from(now.minus(FORGOTTEN_AFTER)))
                .update();
        jdbc.sql("insert into sign_in_guard values (?, 0, ?) on conflict (call_sign) do nothing")
                .params(key(callSign), Timestamp.from(now))
                .update();
        Failures failed = jdbc.sql("select failures, last_failure_at from sign_in_guard where call_sign = ? for update")
                .param(key(callSign))
                .query((row, i) -> new Failures(
                        row.getInt("failures"),
                        row.getTimestamp("last_failure_at").toInstant()))
                .single();
        Duration left = Duration.between(now, failed.last().plus(waitAfter(failed.count())));
        if (failed.count() >= FREE_FAILURES && left.compareTo(Duration.ZERO) > 0) {
            return left;
        }
        jdbc.sql("update sign_in_guard set failures = failures + 1, last_failure_at = ? where call_sign = ?")
                .params(Timestamp.from(now), key(callSign))
                .update();
        return Duration.ZERO;
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
