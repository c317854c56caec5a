package org.goldthistle.today;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What an observer is told to do today, and the notes they keep. */
class TodayTest extends ServerTest {
    @Autowired
    private OutlookKeeper outlooks;

    @Test
    void the_plot_with_trees_that_nobody_signed_is_to_be_walked() {
        JsonNode today = signedIn("Wren").get(surveyPath() + "/today").expect(200);

        assertThat(today.path("walk").findValuesAsText("code")).contains("Kettle Moss 07", "Heron Carr 02");
        assertThat(today.path("walkInAll").asInt())
                .isEqualTo(jdbc.sql("select count(*) from plot p where survey_id = ? and closed_at is null and exists"
                                + " (select 1 from tree t where t.plot_id = p.id and t.clone_of is null"
                                + " and (t.stands_as = 'open' or t.stands_as = 'come-back' and t.come_back_month = 9"
                                + " and t.shown_to is null))")
                        .param(demoId("survey Tarnholt"))
                        .query(Integer.class)
                        .single());
    }

    @Test
    void a_contested_call_is_to_be_settled_in_a_month_that_can() {
        Caller wren = signedIn("Wren");
        read(wren, 16, "vein-course", "arching");

        outlooks.playAll();

        JsonNode today = wren.get(surveyPath() + "/today").expect(200);
        JsonNode row = rowOf(today.path("settle"), 16);
        double kept = row.path("chance").asDouble();
        double fresh = wren.get(treePath(16) + "/outlook")
                .expect(200)
                .get(8)
                .path("chanceToSettle")
                .asDouble();
        assertThat(kept).isCloseTo(fresh, within(1e-12));
        assertThat(row.path("check").asText()).isNotEmpty();
        assertThat(today.path("unplayed").asInt()).isZero();
    }

    @Test
    void the_check_that_today_names_is_the_one_that_the_bench_then_offers_first() {
        Caller wren = signedIn("Wren");
        read(wren, 16, "vein-course", "arching");
        outlooks.playAll();
        JsonNode played = wren.get(treePath(16) + "/outlook").expect(200);
        int compared = 0;
        for (int ahead = 0; ahead < 12; ahead++) {
            JsonNode today = wren.get(surveyPath() + "/today").expect(200);
            JsonNode bench = wren.get(treePath(16) + "/bench").expect(200);
            for (JsonNode row : today.path("settle")) {
                if (row.path("treeId").asText().equals(bench.at("/tree/id").asText())) {
                    int month = today.path("month").asInt();
                    assertThat(row.path("check").asText())
                            .as("month %d", month)
                            .isEqualTo(nameOf(
                                    wren,
                                    bench,
                                    bench.at("/suggested/0/character").asText()));
                    assertThat(row.path("chance").asDouble())
                            .isCloseTo(
                                    played.get(month - 1).path("chanceToSettle").asDouble(), within(1e-12));
                    compared++;
                }
            }
            later(Duration.ofDays(31));
        }

        assertThat(compared).as("months compared").isGreaterThanOrEqualTo(3);
    }

    private static String nameOf(Caller caller, JsonNode bench, String character) {
        JsonNode sheet = caller.get(
                        "/api/sheets/" + bench.path("sheetVersionId").asText())
                .expect(200);
        for (JsonNode one : sheet.path("characters")) {
            if (one.path("id").asText().equals(character)) {
                return one.path("name").asText();
            }
        }
        return "";
    }

    @Test
    void what_this_month_cannot_settle_waits_for_one_that_can() {
        Caller wren = signedIn("Wren");
        read(wren, 16, "vein-course", "arching");
        later(Duration.ofDays(130)); // a January, when hardly anything can be read

        outlooks.playAll();

        JsonNode today = wren.get(surveyPath() + "/today").expect(200);
        assertThat(today.path("month").asInt()).isEqualTo(1);
        int waiting = 0;
        for (JsonNode one : today.path("waiting")) {
            waiting += one.path("calls").asInt();
        }
        assertThat(waiting + today.path("settleInAll").asInt()).isPositive();
    }

    @Test
    void a_tree_is_found_by_plot_and_tag() {
        JsonNode found =
                signedIn("Wren").get(surveyPath() + "/trees?find=moss%2023").expect(200);

        assertThat(found).hasSize(1);
        assertThat(found.at("/0/plotCode").asText()).isEqualTo("Kettle Moss 07");
        assertThat(signedIn("Wren")
                        .get(surveyPath() + "/trees?find=kettle%20moss%2007")
                        .expect(200))
                .hasSize(9);
        assertThat(signedIn("Wren").get(surveyPath() + "/trees?find=%25").expect(200))
                .hasSizeGreaterThan(1);
    }

    @Test
    void a_memory_aid_is_its_observer_s_alone() {
        Caller wren = signedIn("Wren");
        String aid = "/api/memory-aids/birches/twig-warts";
        wren.put(aid, Map.of("body", "feels like fine sandpaper")).expect(204);

        assertThat(wren.get(treePath(23) + "/bench")
                        .expect(200)
                        .at("/memoryAids/twig-warts")
                        .asText())
                .isEqualTo("feels like fine sandpaper");
        assertThat(signedIn("Siskin").get(treePath(23) + "/bench").expect(200).path("memoryAids"))
                .isEmpty();
        wren.put("/api/memory-aids/birches/wings", Map.of("body", "?")).expectProblem(404, "no-such-character");
        wren.put(aid, Map.of("body", " ")).expect(204);
        assertThat(wren.get(treePath(23) + "/bench").expect(200).path("memoryAids"))
                .isEmpty();
    }

    private static JsonNode rowOf(JsonNode rows, int tag) {
        for (JsonNode row : rows) {
            if (row.path("tag").asInt() == tag && row.path("plotCode").asText().equals("Kettle Moss 07")) {
                return row;
            }
        }
        throw new AssertionError("no row of tree " + tag + " in " + rows);
    }

    private static void read(Caller caller, int tag, String character, String state) {
        caller.put(
                        treePath(tag) + "/readings/" + UUID.randomUUID(),
                        Map.of("character", character, "states", List.of(state), "certainty", "sure", "notSeen", false))
                .expect(200);
    }
}
