package org.goldthistle;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.boot.web.embedded.tomcat.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/**
 * The whole server over HTTP on a real PostgreSQL, with the demo's data and a clock that the test holds. One context
 * serves all test classes; each class has a database of its own, and each test works on trees of its own.
 */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "goldthistle.demo=true",
            "goldthistle.demo.passphrase=" + ServerTest.PASSPHRASE,
            "goldthistle.outlook.rest=0s",
            "goldthistle.laboratory.secret=" + TestLaboratory.SECRET,
            "goldthistle.laboratory.every=1d", // a test that wants it goes round by itself
            "goldthistle.hash-cost=4" // else the tests would mostly hash
        })
@Import(ServerTest.HeldClock.class)
@ExtendWith(FreshDatabase.class)
public abstract class ServerTest {
    protected static final String PASSPHRASE = "kettle-moss-test";

    /** A September day, so that leaves can be read. */
    private static final Instant START = Instant.parse("2026-09-14T09:00:00Z");

    /** The time that the application and what it speaks to go by. */
    static final TestClock CLOCK = new TestClock();

    @Autowired
    protected JdbcClient jdbc;

    @Autowired
    private Environment environment;

    @LocalServerPort
    private int port;

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry settings) {
        settings.add("goldthistle.laboratory.url", TestLaboratory::address);
        for (String of : List.of("datasource", "flyway")) {
            for (String what : List.of("url", of.equals("flyway") ? "user" : "username", "password")) {
                String name = "spring." + of + "." + what;
                settings.add(
                        name,
                        () -> TestPostgres.setting(name.toUpperCase(Locale.ROOT).replace('.', '_')));
            }
        }
    }

    @BeforeEach
    void wind_the_clock_back() {
        CLOCK.now = START;
    }

    /** A connection of the role that owns the tables, which the application does not work under. */
    protected SingleConnectionDataSource asOwner() {
        return new SingleConnectionDataSource(
                environment.getRequiredProperty("spring.flyway.url"),
                environment.getRequiredProperty("spring.flyway.user"),
                environment.getRequiredProperty("spring.flyway.password"),
                true);
    }

    protected void later(Duration by) {
        CLOCK.now = CLOCK.now.plus(by);
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

    /** The address of the survey that all observers share. */
    protected static String surveyPath() {
        return "/api/surveys/" + demoId("survey Tarnholt");
    }

    /** The address of its plot Kettle Moss 07. */
    protected static String plotPath() {
        return surveyPath() + "/plots/" + demoId("plot Kettle Moss 07");
    }

    /** Changes how that survey is set up, from what it is. */
    protected static Caller.Answer changeSurvey(Caller caller, Consumer<ObjectNode> change) {
        for (JsonNode survey : caller.get("/api/surveys").expect(200)) {
            if (survey.path("id").asText().equals(demoId("survey Tarnholt").toString())) {
                ObjectNode settings = survey.deepCopy();
                settings.remove(List.of("id", "closedAt"));
                change.accept(settings);
                return caller.put(surveyPath(), settings);
            }
        }
        throw new AssertionError("the caller does not belong to the survey");
    }

    /** A signature that names no taxon: group or laboratory. */
    protected static Map<String, Object> signature(String outcome) {
        return signature(outcome, List.of());
    }

    /** The same, having seen these readings counted. */
    protected static Map<String, Object> signature(String outcome, List<String> readingIds) {
        return Map.of(
                "outcome",
                outcome,
                "note",
                "Out of reach.",
                "confirming",
                List.of(),
                "reasons",
                Map.of(),
                "voucher",
                "",
                "readingIds",
                readingIds);
    }

    /** A tree of a group in a plot of its own, in the survey that all observers share. */
    protected static void plant(Caller caller, UUID plot, UUID tree, String group) {
        String path = surveyPath() + "/plots/" + plot;
        caller.put(path, plotBody("Churn Edge " + plot)).expect(200);
        caller.put(path + "/trees/" + tree, stemBody(7, group)).expect(200);
    }

    /** A plot as it is sent. */
    protected static Map<String, Object> plotBody(String code) {
        return Map.of(
                "code",
                code,
                "latitude",
                55.03,
                "longitude",
                -20.38,
                "radiusMetres",
                15,
                "habitat",
                List.of(),
                "notes",
                "");
    }

    /** A stem as it is sent. */
    protected static Map<String, Object> stemBody(int tag, String group) {
        return Map.of(
                "tag",
                tag,
                "azimuthDegrees",
                10,
                "distanceMetres",
                3,
                "diameterMillimetres",
                140,
                "stage",
                "mature",
                "origin",
                "wild",
                "conditionNotes",
                "",
                "groupId",
                group);
    }

    /** Marks everything that the tree's group shares as fitting, as a record and a control ask for. */
    protected static void markGate(Caller caller, String treePath) {
        String sheet = caller.get(treePath + "/bench")
                .expect(200)
                .path("sheetVersionId")
                .asText();
        for (JsonNode item : caller.get("/api/sheets/" + sheet).expect(200).path("gate")) {
            caller.put(
                            treePath + "/gate/" + UUID.randomUUID(),
                            Map.of("item", item.path("id").asText(), "mark", "fits"))
                    .expect(200);
        }
    }

    /** The address of a tree of the plot Kettle Moss 07 in the survey that all observers share. */
    protected static String treePath(int tag) {
        return surveyPath() + "/trees/" + demoId("tree " + demoId("plot Kettle Moss 07") + " " + tag);
    }

    @TestConfiguration
    static class HeldClock {
        @Bean
        @Primary
        TestClock heldClock() {
            return CLOCK;
        }

        /** Whatever leaves it to the web server how long it may take is cut short, as in life after half a minute. */
        @Bean
        WebServerFactoryCustomizer<TomcatServletWebServerFactory> shortPatience() {
            return factory -> factory.addConnectorCustomizers(connector -> connector.setAsyncTimeout(500));
        }
    }

    static final class TestClock extends Clock {
        private volatile Instant now = START;

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
