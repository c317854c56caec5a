package org.goldthistle.account;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.platform.Sha256;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Makes whoever guesses passphrases wait, longer each time. Tries are counted by call sign and where they come from: an
 * address, or a device on which its observer has signed in before. What strangers try from many addresses makes other
 * strangers wait, and never a known device, so that nobody is kept out by somebody else.
 */
@Component
class SignInGuard {
    private static final int FREE_FAILURES = 5;
    private static final int FREE_OF_ALL_STRANGERS = 50;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(30);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration FORGOTTEN_AFTER = Duration.ofDays(1);
    private static final Duration DEVICE_FORGOTTEN_AFTER = Duration.ofDays(400);
    private static final String ALL_STRANGERS = "";

    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    SignInGuard(Turns turns, JdbcClient jdbc, Clock clock) {
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * Where a try comes from.
     *
     * @param device secret of the device's cookie; empty: it has none
     */
    record Source(String address, Optional<String> device) {}

    /**
     * A try that was counted.
     *
     * @param left how long whoever tries must still wait; zero: they need not
     * @param source that it was counted under
     */
    record Try(Duration left, String source) {}

    /**
     * A call sign is tried: how long it must still wait before that; zero if it need not, and then it is counted as failed
     * until it succeeds. Of tries at one instant each sees those before it.
     *
     * @param observer whose call sign it is; empty: nobody's
     */
    @Transactional
    public Try tries(String callSign, Optional<UUID> observer, Source from) {
        oneAtATime(callSign);
        Instant now = clock.instant();
        jdbc.sql("delete from sign_in_guard where last_failure_at < ?")
                .param(Timestamp.from(now.minus(FORGOTTEN_AFTER)))
                .update();
        Optional<String> known =
                from.device().map(Sha256::of).filter(print -> observer.isPresent() && isKnown(observer.get(), print));
        String source = known.orElse(from.address());
        Duration wait = Duration.ZERO;
        if (known.isEmpty()) {
            wait = left(callSign, ALL_STRANGERS, FREE_OF_ALL_STRANGERS, now);
        }
        Duration own = left(callSign, source, FREE_FAILURES, now);
        wait = own.compareTo(wait) > 0 ? own : wait;
        if (wait.isZero()) {
            count(callSign, source, now);
            if (known.isEmpty()) {
                count(callSign, ALL_STRANGERS, now);
            }
        }
        return new Try(wait, source);
    }

    private void oneAtATime(String callSign) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, "sign-in", key(callSign)));
    }

    private Duration left(String callSign, String source, int free, Instant now) {
        jdbc.sql("insert into sign_in_guard values (?, ?, 0, 0, ?) on conflict (call_sign, source) do nothing")
                .params(key(callSign), source, Timestamp.from(now))
                .update();
        Failures failed = jdbc.sql(
                        "select failures, last_failure_at from sign_in_guard where call_sign = ?" + " and source = ?")
                .params(key(callSign), source)
                .query((row, i) -> new Failures(
                        row.getInt("failures"),
                        row.getTimestamp("last_failure_at").toInstant()))
                .single();
        Duration left = Duration.between(now, failed.last().plus(waitAfter(failed.count(), free)));
        return failed.count() >= free && left.compareTo(Duration.ZERO) > 0 ? left : Duration.ZERO;
    }

    private void count(String callSign, String source, Instant now) {
        jdbc.sql("update sign_in_guard set failures = failures + 1, last_failure_at = ? where call_sign = ?"
                        + " and source = ?")
                .params(Timestamp.from(now), key(callSign), source)
                .update();
    }

    /**
     * Forgets the failures of where a call sign was signed in from; those of strangers stay.
     *
     * @return how often somebody tried in vain since its observer was last told
     */
    @Transactional
    public int succeeded(String callSign, Try counted) {
        oneAtATime(callSign);
        int failures = jdbc.sql("select coalesce(sum(failures - told), 0) from sign_in_guard where call_sign = ?"
                        + " and source <> ?")
                .params(key(callSign), ALL_STRANGERS)
                .query(Integer.class)
                .single();
        jdbc.sql("delete from sign_in_guard where call_sign = ? and source = ?")
                .params(key(callSign), counted.source())
                .update();
        jdbc.sql("update sign_in_guard set failures = failures - 1 where call_sign = ? and source = ? and failures > 0")
                .params(key(callSign), ALL_STRANGERS)
                .update();
        jdbc.sql("update sign_in_guard set told = failures where call_sign = ?")
                .param(key(callSign))
                .update();
        return failures - 1; // this try was counted too
    }

    /** Knows a device of an observer from now on. */
    @Transactional
    public void know(UUID observer, String device) {
        Timestamp now = Timestamp.from(clock.instant());
        jdbc.sql("insert into known_device values (?, ?, ?) on conflict (observer_id, print) do update set"
                        + " last_at = excluded.last_at")
                .params(observer, Sha256.of(device), now)
                .update();
        jdbc.sql("delete from known_device where last_at < ?")
                .param(Timestamp.from(clock.instant().minus(DEVICE_FORGOTTEN_AFTER)))
                .update();
    }

    private boolean isKnown(UUID observer, String print) {
        return jdbc.sql("select exists (select 1 from known_device where observer_id = ? and print = ?)")
                .params(observer, print)
                .query(Boolean.class)
                .single();
    }

    private static Duration waitAfter(int failures, int free) {
        int doublings = Math.min(Math.max(0, failures - free), 10);
        Duration wait = FIRST_WAIT.multipliedBy(1L << doublings);
        return wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
    }

    private static String key(String callSign) {
        return callSign.toLowerCase(Locale.ROOT);
    }

    private record Failures(int count, Instant last) {}
}
