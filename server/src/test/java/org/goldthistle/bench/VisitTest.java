package org.goldthistle.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A tree that is read over several visits: each reading keeps the month of its own. It is September when a test begins. */
class VisitTest extends ServerTest {
    private static final Duration THREE_MONTHS = Duration.ofDays(92);
    private static final Map<String, Object> LEAVES =
            Map.of("character", "ltf", "values", List.of(3, 2, 4), "notSeen", false);
    private static final Map<String, Object> BARK =
            Map.of("character", "bark-base", "states", List.of("cracked"), "notSeen", false);

    private UUID tree;
    private Caller nuthatch;

    @BeforeEach
    void a_birch_of_its_own() {
        tree = UUID.randomUUID();
        nuthatch = signedIn("Nuthatch");
        plant(signedIn("Siskin"), UUID.randomUUID(), tree, "birches");
    }

    @Test
    void a_tree_opened_in_another_month_is_read_in_that_and_nothing_read_before_loses_weight() {
        JsonNode september = nuthatch.put(reading(), LEAVES).expect(200);

        later(THREE_MONTHS);
        JsonNode december = nuthatch.get(birch() + "/bench").expect(200);

        assertThat(september.at("/circumstances/month").asInt()).isEqualTo(9);
        assertThat(december.at("/circumstances/month").asInt()).isEqualTo(12);
        assertThat(december.at("/readings/0/reading/month").asInt()).isEqualTo(9);
        assertThat(pointsOf(december, "ltf")).isCloseTo(pointsOf(september, "ltf"), within(1e-12));
        assertThat(december.path("outOfSeason").toString()).contains("leaf-outline");
    }

    @Test
    void what_is_read_on_the_new_visit_is_of_its_month() {
        nuthatch.put(reading(), LEAVES).expect(200);
        later(THREE_MONTHS);

        JsonNode bench = nuthatch.put(reading(), BARK).expect(200);

        assertThat(monthsOf(bench)).containsEntry("ltf", 9).containsEntry("bark-base", 12);
    }

    @Test
    void a_correction_of_what_was_read_before_keeps_its_month_and_another_look_does_not() {
        nuthatch.put(reading(), LEAVES).expect(200);
        later(THREE_MONTHS);

        Map<String, Object> surer = Map.of("character", "ltf", "values", List.of(3, 2), "notSeen", false, "month", 9);
        assertThat(monthsOf(nuthatch.put(reading(), surer).expect(200))).containsEntry("ltf", 9);
        assertThat(monthsOf(nuthatch.put(reading(), LEAVES).expect(200))).containsEntry("ltf", 12);
        nuthatch.put(reading(), Map.of("character", "ltf", "values", List.of(3), "notSeen", false, "month", 4))
                .expectProblem(422, "no-such-visit");
    }

    @Test
    void a_reading_that_waited_on_a_device_belongs_to_the_month_in_which_it_was_made() {
        nuthatch.put(reading(), BARK).expect(200);
        later(Duration.ofDays(30));

        long aMonth = Duration.ofDays(29).toSeconds();
        JsonNode bench =
                nuthatch.put(reading() + "?heldBackSeconds=" + aMonth, LEAVES).expect(200);

        assertThat(monthsOf(bench)).containsEntry("ltf", 9);
        assertThat(bench.at("/circumstances/month").asInt()).isEqualTo(10);
    }

    @Test
    void a_signature_that_waited_on_a_device_is_of_the_day_and_month_in_which_it_was_given() {
        long aMonth = Duration.ofDays(30).toSeconds();
        later(Duration.ofDays(30));
        nuthatch.put(reading() + "?heldBackSeconds=" + aMonth, LEAVES).expect(200);

        JsonNode signed = nuthatch.put(
                        birch() + "/determinations/" + UUID.randomUUID() + "?heldBackSeconds=" + (aMonth - 60),
                        signedGroup())
                .expect(200)
                .at("/determinations/0");

        assertThat(signed.path("signedAt").asText()).startsWith("2026-09-14T09:01");
        assertThat(signed.path("recordedAt").asText()).startsWith("2026-10-14T09:00");
        assertThat(signed.at("/circumstances/month").asInt()).isEqualTo(9);
        assertThat(signed.path("recomputes").asBoolean()).isTrue();
    }

    @Test
    void what_could_not_be_seen_is_looked_for_again_in_another_month() {
        JsonNode september = nuthatch.put(reading(), Map.of("character", "bark-base", "notSeen", true))
                .expect(200);
        later(THREE_MONTHS);
        JsonNode december = nuthatch.get(birch() + "/bench").expect(200);

        assertThat(september.path("suggested").findValuesAsText("character")).doesNotContain("bark-base");
        assertThat(december.path("suggested").findValuesAsText("character")).contains("bark-base");
        assertThat(december.path("readings").findValuesAsText("character")).doesNotContain("bark-base");
        nuthatch.put(reading(), LEAVES).expect(200);
        nuthatch.put(birch() + "/determinations/" + UUID.randomUUID(), signedGroup())
                .expect(200); // by what the Bench shows as read
    }

    @Test
    void a_visit_whose_month_is_put_right_takes_its_readings_along_and_earlier_ones_stay() {
        nuthatch.put(reading(), LEAVES).expect(200);
        later(THREE_MONTHS);
        nuthatch.put(reading(), BARK).expect(200);

        JsonNode bench = nuthatch.put(
                        birch() + "/circumstances",
                        Map.of("month", 11, "stage", "mature", "origin", "unknown", "habitat", List.of()))
                .expect(200);

        assertThat(monthsOf(bench)).containsEntry("ltf", 9).containsEntry("bark-base", 11);
    }

    @Test
    void a_signature_stands_when_its_tree_is_opened_in_another_month() {
        nuthatch.put(reading(), LEAVES).expect(200);
        JsonNode signed = nuthatch.put(birch() + "/determinations/" + UUID.randomUUID(), signedGroup())
                .expect(200);
        later(THREE_MONTHS);

        JsonNode december = nuthatch.get(birch() + "/bench").expect(200);

        assertThat(signed.path("signedAs").isTextual()).isTrue();
        assertThat(december.path("signedAs")).isEqualTo(signed.path("signedAs"));
        nuthatch.put(reading(), LEAVES).expect(200);
        JsonNode again = nuthatch.put(birch() + "/determinations/" + UUID.randomUUID(), signedGroup())
                .expect(200);
        assertThat(again.at("/determinations/0/recomputes").asBoolean()).isTrue();
        assertThat(again.at("/determinations/0/circumstances/month").asInt()).isEqualTo(12);
    }

    private Map<String, Object> signedGroup() {
        List<String> ids = new ArrayList<>();
        nuthatch.get(birch() + "/bench")
                .expect(200)
                .path("readings")
                .forEach(one -> ids.add(one.path("id").asText()));
        return signature("group", ids);
    }

    private static Map<String, Integer> monthsOf(JsonNode bench) {
        Map<String, Integer> months = new HashMap<>();
        for (JsonNode one : bench.path("readings")) {
            int month = one.at("/reading/month")
                    .asInt(bench.at("/circumstances/month").asInt());
            months.put(one.at("/reading/character").asText(), month);
        }
        return months;
    }

    private static double pointsOf(JsonNode bench, String character) {
        for (JsonNode one : bench.at("/figures/withSurroundings/points")) {
            if (one.path("character").asText().equals(character)) {
                return one.path("points").asDouble();
            }
        }
        throw new AssertionError("no points of " + character);
    }

    private String birch() {
        return surveyPath() + "/trees/" + tree;
    }

    private String reading() {
        return birch() + "/readings/" + UUID.randomUUID();
    }
}
