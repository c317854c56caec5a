package org.goldthistle.control;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.junit.jupiter.api.Test;

/** The card of an approved tree, the last look at it, and what was done. */
class LastLookTest extends TreeForControl {
    @Test
    void a_contractor_sees_cards_without_what_was_read_and_confirms() {
        clear();
        approve(true).expect(204);
        Caller contractor = signedIn("Woodcock");
        JsonNode card = card();
        assertThat(card.toString()).doesNotContain("star-collar", "rusty-fringe", "incurved", WORDS.get(0), "Siskin");
        assertThat(card.at("/asked/0/steps").size()).isBetween(2, 4);
        assertThat(card.path("cautions").get(0).asText()).contains("trained, licensed people");

        Map<String, Object> look = look(card, Map.of());
        JsonNode said = contractor.put(lookPath(), look).expect(200);

        assertThat(said.path("verdict").asText()).as(said.toString()).isEqualTo("confirmed");
        assertThat(card().at("/look/result/verdict").asText()).isEqualTo("confirmed");
        assertThat(lead.get(treePath() + "/review").expect(200).path("state").asText())
                .isEqualTo("settled");
        contractor.get(surveyPath() + "/control").expectProblem(403, "not-yours-to-do");
        contractor.get(treePath() + "/bench").expectProblem(403, "not-yours-to-do");
    }

    @Test
    void a_contrary_last_look_stops_the_saw_and_opens_a_review_at_the_table() {
        clear();
        approve(true).expect(204);
        Caller contractor = signedIn("Woodcock");
        JsonNode card = card();
        String first = card.at("/asked/0/steps/0/character").asText();
        String path = lookPath();
        Map<String, Object> look = look(card, Map.of(first, asBirdCherry(first)));

        JsonNode said = contractor.put(path, look).expect(200);

        assertThat(said.path("verdict").asText()).isEqualTo("do-not-cut");
        assertThat(said.path("reasons").toString()).contains("contrary", "speaks against black cherry");
        assertThat(contractor.put(path, look).expect(200)).isEqualTo(said);
        assertThat(card()).as("off the list by itself").isNull();
        JsonNode open = rowOf(lead);
        assertThat(open.path("reasons").toString()).contains("last-look");
        assertThat(open.path("state").asText()).isEqualTo("table");
        assertThat(kinds(rowOfList(lead))).contains("review");
        assertThat(rowOfList(lead).at("/approval/lapsed").asText()).contains("review is open");

        JsonNode onTree = lead.get(surveyPath() + "/control/trees/" + tree).expect(200);
        assertThat(onTree.at("/looks/0/by").asText()).isEqualTo("Woodcock");
        assertThat(onTree.at("/looks/0/readings")).hasSize(2);

        JsonNode late = contractor.put(lookPath(), look(card, Map.of())).expect(200);
        assertThat(late.path("verdict").asText()).as("by the card from before").isEqualTo("do-not-cut");
        assertThat(late.path("reasons").toString()).contains("not-on-list");
    }

    @Test
    void a_look_that_reads_too_little_leaves_the_tree_standing_and_on_the_list() {
        clear();
        approve(true).expect(204);
        Caller contractor = signedIn("Woodcock");
        JsonNode card = card();
        Map<String, Object> nothing = look(card, Map.of());
        nothing.put("readings", List.of());
        assertThat(contractor
                        .put(lookPath(), nothing)
                        .expect(200)
                        .path("verdict")
                        .asText())
                .isEqualTo("not-yet");
        assertThat(card()).as("it stays on the list").isNotNull();
    }

    @Test
    void an_item_of_the_gate_that_fails_stops_the_saw() {
        clear();
        approve(true).expect(204);
        JsonNode card = card();
        Map<String, Object> failing = look(card, Map.of());
        List<Map<String, Object>> gate = new ArrayList<>();
        gateOf(card).forEach(item -> gate.add(Map.of("item", item, "fits", !gate.isEmpty())));
        failing.put("gate", gate);

        JsonNode said = signedIn("Woodcock").put(lookPath(), failing).expect(200);

        assertThat(said.path("verdict").asText()).isEqualTo("do-not-cut");
        assertThat(said.at("/reasons/0/kind").asText()).isEqualTo("gate");
    }

    @Test
    void a_look_that_fits_nothing_is_refused_and_nothing_is_stored() {
        clear();
        approve(true).expect(204);
        Caller contractor = signedIn("Woodcock");
        JsonNode card = card();
        Map<String, Object> odd = look(card, Map.of());
        odd.put("readings", List.of(Map.of("character", "no-such", "states", List.of("x"), "notSeen", false)));
        contractor.put(lookPath(), odd).expectProblem(422, "unfit-look");
        Map<String, Object> unknown = look(card, Map.of());
        unknown.put("approvalId", UUID.randomUUID());
        contractor.put(lookPath(), unknown).expectProblem(404, "no-such-approval");
        Map<String, Object> older = look(card, Map.of());
        older.put("sheetVersionId", UUID.randomUUID());
        contractor.put(lookPath(), older).expectProblem(409, "look-outdated");
        String path = lookPath();
        contractor.put(path, look(card, Map.of())).expect(200);
        Map<String, Object> otherwise = look(card, Map.of());
        otherwise.put("readings", List.of());
        contractor.put(path, otherwise).expectProblem(409, "id-taken");
    }

    @Test
    void what_was_done_is_recorded_once_and_whoever_comes_second_is_told() {
        clear();
        Caller contractor = signedIn("Woodcock");
        contractor.put(workPath(), work("cut", null)).expectProblem(422, "not-for-control");
        approve(true).expect(204);
        contractor.put(workPath(), work("burnt", null)).expectProblem(422, "unfit-work");
        Map<String, Object> ahead = work("cut", null);
        ahead.put("doneOn", "2030-01-01");
        contractor.put(workPath(), ahead).expectProblem(422, "unfit-work");
        String path = workPath();
        contractor.put(path, work("cut", null)).expect(204);
        contractor.put(path, work("cut", null)).expect(204);
        JsonNode stale = signedIn("Siskin").put(workPath(), work("left", null)).expectProblem(409, "stale");

        assertThat(stale.at("/kept/what").asText()).isEqualTo("cut");
        assertThat(card()).as("it stands no more").isNull();
        assertThat(rowOfList(lead).path("work").path("by").asText()).isEqualTo("Woodcock");
    }

    @Test
    void a_wrong_tree_comes_to_review_and_counts_in_quality() {
        clear();
        approve(true).expect(204);
        signedIn("Woodcock").put(workPath(), work("wrong-tree", null)).expect(204);

        assertThat(rowOf(lead).path("reasons").toString()).contains("wrong-tree");
        JsonNode control = lead.get(surveyPath() + "/agreement").expect(200).path("control");
        assertThat(control.path("wrong").findValuesAsText("treeId")).contains(tree.toString());
        assertThat(control.path("done").asInt())
                .isGreaterThanOrEqualTo(control.path("wrong").size());
        assertThat(control.path("heldBack").asInt())
                .isLessThanOrEqualTo(control.path("looks").asInt());
    }

    @Test
    void a_second_doubt_goes_into_the_review_that_the_first_one_opened() {
        clear();
        approve(true).expect(204);
        JsonNode card = card();
        String first = card.at("/asked/0/steps/0/character").asText();
        signedIn("Woodcock")
                .put(lookPath(), look(card, Map.of(first, asBirdCherry(first))))
                .expect(200);
        signedIn("Woodcock").put(workPath(), work("wrong-tree", null)).expect(204);

        assertThat(rowOf(lead).path("reasons").toString()).contains("last-look", "wrong-tree");
    }

    private static String lookPath() {
        return surveyPath() + "/control/looks/" + UUID.randomUUID();
    }

    private static String workPath() {
        return surveyPath() + "/control/works/" + UUID.randomUUID();
    }

    private Map<String, Object> work(String what, UUID after) {
        Map<String, Object> work = new HashMap<>();
        work.put("treeId", tree);
        work.put("after", after);
        work.put("what", what);
        work.put("doneOn", "2026-09-14");
        work.put("note", "by the beck");
        return work;
    }

    /** A look that reads the first two features as the invader shows them, unless it says otherwise. */
    private Map<String, Object> look(JsonNode card, Map<String, String> otherwise) {
        Map<String, Object> look = new HashMap<>();
        look.put("treeId", card.path("treeId").asText());
        look.put("approvalId", card.path("approvalId").asText());
        look.put("sheetVersionId", card.path("sheetVersionId").asText());
        look.put("month", card.at("/asked/0/circumstances/month").asInt());
        look.put("lookedAt", "2026-09-14T09:30:00Z");
        List<Object> readings = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            String character = card.at("/asked/0/steps/" + i + "/character").asText();
            String state = otherwise.getOrDefault(character, invasive(character));
            readings.add(Map.of(
                    "character",
                    character,
                    "states",
                    Collections.nCopies(4, state),
                    "certainty",
                    "sure",
                    "notSeen",
                    false));
        }
        look.put("readings", readings);
        List<Object> gate = new ArrayList<>();
        gateOf(card).forEach(item -> gate.add(Map.of("item", item, "fits", true)));
        look.put("gate", gate);
        return look;
    }

    private List<String> gateOf(JsonNode card) {
        List<String> items = new ArrayList<>();
        lead.get("/api/sheets/" + card.path("sheetVersionId").asText())
                .expect(200)
                .path("gate")
                .forEach(item -> items.add(item.path("id").asText()));
        return items;
    }

    private static String invasive(String character) {
        return switch (character) {
            case "fruit-collar" -> "star-collar";
            case "midrib-hairs" -> "rusty-fringe";
            case "tooth-shape" -> "incurved";
            case "bark-surface" -> "scaly";
            default -> throw new AssertionError("the card asks for " + character);
        };
    }

    private static String asBirdCherry(String character) {
        return switch (character) {
            case "fruit-collar" -> "absent";
            case "midrib-hairs" -> "axil-tufts";
            case "tooth-shape" -> "fine-sharp";
            case "bark-surface" -> "dull-smooth";
            default -> throw new AssertionError("the card asks for " + character);
        };
    }
}
