package org.goldthistle.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What surrounds the readings: gate, group, taking back, two devices, wounds, senses, views. */
class BenchTest extends ServerTest {

    @AfterEach
    void forbid_wounding_and_lack_nothing() {
        permit(signedIn("Treecreeper"), false).expect(200);
        signedIn("Redpoll")
                .put("/api/session/lacking", Map.of("lacking", List.of()))
                .expect(200);
    }

    @Test
    void a_failed_gate_item_unsettles_the_call_until_it_is_taken_back() {
        Caller siskin = signedIn("Siskin");
        JsonNode failed = siskin.put(gate(38), Map.of("item", "needle-tufts", "mark", "fails"))
                .expect(200);
        assertThat(failed.at("/judgement/verdict").asText()).isEqualTo("unsettled");
        assertThat(failed.at("/judgement/reasons").toString()).contains("gate:needle-tufts");
        assertThat(failed.at("/gate/0/fits").asBoolean()).isFalse();

        JsonNode mended = siskin.put(gate(38), Map.of("item", "needle-tufts", "mark", "taken-back"))
                .expect(200);

        assertThat(mended.path("gate")).isEmpty();
        assertThat(mended.at("/judgement/reasons").toString()).doesNotContain("gate");
        siskin.put(gate(38), Map.of("item", "wings", "mark", "fits")).expectProblem(422, "unfit-mark");
        siskin.put(gate(38), Map.of("item", "needle-tufts", "mark", "perhaps")).expectProblem(422, "no-such-mark");
    }

    @Test
    void a_tree_without_cones_is_not_asked_for_them_until_that_is_taken_back() {
        Caller siskin = signedIn("Siskin");
        JsonNode before = siskin.get(treePath(38) + "/bench").expect(200);
        assertThat(before.path("noneOnTree")).isEmpty();

        JsonNode none = siskin.put(reading(38), Map.of("character", "cone-length", "notSeen", true, "notBorne", true))
                .expect(200);

        assertThat(none.path("noneOnTree").toString())
                .contains("cone-scale-tips", "cone-shape-ratio", "cone-scale-count")
                .as("which is read")
                .doesNotContain("cone-length");
        assertThat(none.path("suggested").findValuesAsText("character")).noneMatch(id -> id.startsWith("cone-"));
        assertThat(none.at("/readings/0/reading/notBorne").asBoolean()).isTrue();
        assertThat(siskin.get(treePath(38) + "/history").expect(200).toString()).contains("found none on the tree for");
        siskin.put(
                        reading(38),
                        Map.of("character", "cone-length", "notSeen", false, "notBorne", true, "values", List.of(30)))
                .expectProblem(422, "unfit-reading");

        JsonNode back = siskin.put(reading(38), Map.of("character", "cone-length", "notSeen", false, "withdrawn", true))
                .expect(200);
        assertThat(back.path("noneOnTree")).isEmpty();
    }

    @Test
    void what_no_tree_of_the_stage_bears_is_told_apart_from_what_is_out_of_season() {
        Caller siskin = signedIn("Siskin");
        JsonNode bench = siskin.get(treePath(38) + "/bench").expect(200);
        var circumstances = (com.fasterxml.jackson.databind.node.ObjectNode)
                bench.path("circumstances").deepCopy();
        circumstances.put("stage", "sapling");

        JsonNode sapling =
                siskin.put(treePath(38) + "/circumstances", circumstances).expect(200);

        assertThat(bench.path("notAtThisStage")).isEmpty();
        assertThat(sapling.path("notAtThisStage").toString()).contains("cone-length", "young-cone-colour");
        assertThat(sapling.path("suggested").findValuesAsText("character")).doesNotContain("cone-length");
        siskin.put(treePath(38) + "/circumstances", bench.path("circumstances")).expect(200);
    }

    @Test
    void another_group_is_taken_up_by_one_observer_alone_and_keeps_what_was_read_before() {
        Caller siskin = signedIn("Siskin");
        siskin.put(reading(9), Map.of("character", "leaf-tip", "notSeen", true)).expect(200);
        siskin.put(gate(9), Map.of("item", "one-cap-bud", "mark", "fails")).expect(200);

        JsonNode other =
                siskin.put(treePath(9) + "/group", Map.of("groupId", "alders")).expect(200);

        assertThat(other.path("gate")).isEmpty();
        assertThat(other.at("/tree/groupId").asText()).isEqualTo("sallows");
        assertThat(row(siskin, 9).path("readAs").asText()).isEqualTo("alders");
        assertThat(row(siskin, 9).path("groupId").asText()).isEqualTo("sallows");
        assertThat(row(signedIn("Dipper"), 9).has("readAs")).isFalse();
        JsonNode back =
                siskin.put(treePath(9) + "/group", Map.of("groupId", "sallows")).expect(200);
        assertThat(back.path("gate")).hasSize(1);
        assertThat(back.path("readings")).hasSize(1);
        siskin.put(treePath(9) + "/group", Map.of("groupId", "palms")).expectProblem(404, "no-such-group");
    }

    @Test
    void a_reading_that_is_taken_back_no_longer_counts_and_stays_in_the_record() {
        Caller dipper = signedIn("Dipper");
        String path = reading(40);
        dipper.put(path, Map.of("character", "crown", "notSeen", true)).expect(200);

        JsonNode bench = dipper.put(reading(40), Map.of("character", "crown", "notSeen", false, "withdrawn", true))
                .expect(200);

        assertThat(bench.path("readings")).isEmpty();
        assertThat(jdbc.sql("select count(*) from reading where id = ?")
                        .param(UUID.fromString(path.substring(path.lastIndexOf('/') + 1)))
                        .query(Integer.class)
                        .single())
                .isEqualTo(1);
        dipper.put(reading(40), Map.of("character", "ears", "notSeen", false, "withdrawn", true))
                .expectProblem(422, "unfit-reading");
    }

    @Test
    void the_later_reading_counts_whichever_arrives_first() {
        Caller redpoll = signedIn("Redpoll");
        redpoll.put(reading(31), state("thorns", "few")).expect(200);

        JsonNode bench = redpoll.put(reading(31) + "?heldBackSeconds=3600", state("thorns", "many"))
                .expect(200);

        assertThat(bench.at("/readings/0/reading/states/0").asText()).isEqualTo("few");
    }

    @Test
    void a_wound_wants_leave_and_the_caution_read() {
        Caller redpoll = signedIn("Redpoll");
        Map<String, Object> wound = state("inner-bark", "yellow", "yellow");
        redpoll.put(reading(16), wound).expectProblem(422, "wounding-off");
        permit(redpoll, true).expectProblem(403, "not-yours-to-do");
        permit(signedIn("Treecreeper"), true).expect(200);

        redpoll.put(reading(16), wound).expectProblem(422, "caution-unread");
        JsonNode read = redpoll.put(treePath(16) + "/wounding-caution", "").expect(200);

        assertThat(read.at("/state/cautionRead").asBoolean()).isTrue();
        redpoll.put(reading(16), wound).expect(200);
        signedIn("Siskin").put(reading(16), wound).expectProblem(422, "caution-unread");
    }

    @Test
    void what_an_observer_lacks_counts_a_quarter_and_is_signed_with_the_call() {
        Caller redpoll = signedIn("Redpoll");
        Map<String, Object> smell = state("twig-smell", "almond", "almond");
        double whole = weightOf(redpoll.put(reading(11), smell).expect(200));

        JsonNode me = redpoll.put("/api/session/lacking", Map.of("lacking", List.of("smell")))
                .expect(200);
        JsonNode bench = redpoll.get(treePath(11) + "/bench").expect(200);

        assertThat(me.path("lacking").toString()).isEqualTo("[\"smell\"]");
        assertThat(weightOf(bench)).isCloseTo(whole / 4, within(1e-12));
        assertThat(bench.path("dulled").toString()).isEqualTo("[\"twig-smell\"]");
        redpoll.put(
                        treePath(11) + "/determinations/" + UUID.randomUUID(),
                        signature("group", List.of(bench.at("/readings/0/id").asText())))
                .expect(200);
        redpoll.put("/api/session/lacking", Map.of("lacking", List.of())).expect(200);
        JsonNode signed = redpoll.get(treePath(11) + "/bench").expect(200).at("/determinations/0");
        assertThat(signed.path("recomputes").asBoolean()).isTrue();
        assertThat(signed.at("/figures/weighed/0/weight").asDouble()).isCloseTo(whole / 4, within(1e-12));
        redpoll.put("/api/session/lacking", Map.of("lacking", List.of("taste"))).expectProblem(422, "no-such-faculty");
    }

    @Test
    void every_view_is_there_and_the_sheet_s_own_is_the_figures() {
        Caller dipper = signedIn("Dipper");
        JsonNode bench =
                dipper.put(reading(24), state("twig-hairs", "dense", "dense")).expect(200);

        assertThat(bench.path("views")).hasSize(6);
        for (JsonNode view : bench.path("views")) {
            assertThat(view.path("against")).hasSize(2);
            for (JsonNode against : view.path("against")) {
                double sum = against.path("surroundingsPoints").asDouble();
                for (JsonNode points : against.path("points")) {
                    sum += points.asDouble();
                }
                assertThat(against.path("totalPoints").asDouble()).isCloseTo(sum, within(1e-9));
            }
        }
        JsonNode own = bench.at("/views/0");
        assertThat(own.at("/against/0/rival")).isEqualTo(bench.at("/figures/withSurroundings/rival"));
        assertThat(own.at("/against/0/totalPoints")).isEqualTo(bench.at("/figures/withSurroundings/totalPoints"));
        double probability = 0;
        for (JsonNode share : bench.at("/ancestryCurves/0/probabilities")) {
            probability += share.asDouble();
        }
        assertThat(probability).isCloseTo(1, within(1e-9));
    }

    private JsonNode row(Caller caller, int tag) {
        for (JsonNode row : caller.get(plotPath() + "/trees").expect(200)) {
            if (treePath(tag).endsWith(row.path("id").asText())) {
                return row;
            }
        }
        throw new AssertionError("no row of tree " + tag);
    }

    private static Caller.Answer permit(Caller caller, boolean wounding) {
        return changeSurvey(caller, settings -> settings.put("woundingAllowed", wounding));
    }

    private static double weightOf(JsonNode bench) {
        return bench.at("/figures/weighed/0/weight").asDouble();
    }

    private static Map<String, Object> state(String character, String... states) {
        Map<String, Object> reading = new HashMap<>();
        reading.put("character", character);
        reading.put("states", List.of(states));
        reading.put("certainty", "sure");
        reading.put("notSeen", false);
        return reading;
    }

    private static String gate(int tag) {
        return treePath(tag) + "/gate/" + UUID.randomUUID();
    }

    private static String reading(int tag) {
        return treePath(tag) + "/readings/" + UUID.randomUUID();
    }
}
