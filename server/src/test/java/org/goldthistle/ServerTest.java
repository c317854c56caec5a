package org.goldthistle;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * The whole server over HTTP on a real PostgreSQL, with the demo's data and a clock that the test holds. One context
 * serves all test classes; each test works on trees of its own. Run by {@code ./goldthistle test}, which starts the
 * database.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {"goldthistle.demo=true", "goldthistle.demo.passphrase=" + ServerTest.PASSPHRASE})
@Import(ServerTest.HeldClock.class)
public abstract class ServerTest {
    protected static final String PASSPHRASE = "kettle-moss-test";

    /** A September day, so that leaves can be read. */
    private static final Instant START = Instant.parse("2026-09-14T09:00:00Z");

    @Autowired
    protected JdbcClient jdbc;

    @Autowired
    private TestClock clock;

    @LocalServerPort
    private int port;

    @BeforeEach
    void wind_the_clock_back() {
        clock.now = START;
    }

    protected void later(Duration by) {
        clock.now = clock.now.plus(by);
    }

    protected Caller stranger() {
        return new Caller(port);
    }

    protected Caller signedIn(String callSign) {
        Caller caller = stranger();
        caller.signIn(callSign, PASSPHRASE).expect(200);
        return caller;
    }

    protected static UUID demoId(String name) {
        return UUID.nameUUIDFromBytes(("demo " + name).getBytes(StandardCharsets.UTF_8));
    }

    /** The address of a tree of the plot Kettle Moss 07 in the survey that all observers share. */
    protected static String treePath(int tag) {
        return "/api/surveys/" + demoId("survey Tarnholt") + "/trees/"
                + demoId("tree " + demoId("plot Kettle Moss 07") + " " + tag);
    }

    @TestConfiguration
    static class HeldClock {
        @Bean
        @Primary
        TestClock heldClock() {
            return new TestClock();
        }
    }

    static final class TestClock extends Clock {
        private Instant now = START;

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            throw new UnsupportedOperationException("this clock stays in UTC");
        }

        @Override
        public Instant instant() {
            return now;
        }
    }
}
