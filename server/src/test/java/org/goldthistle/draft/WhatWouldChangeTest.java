package org.goldthistle.draft;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.junit.jupiter.api.Test;

/** What a draft would do to the season and to the calls on record, and what becomes of an open call. */
class WhatWouldChangeTest extends DraftCase {
    private static final int TREE_OF_LARCHES = 38;

    @Test
    void a_weaker_character_parts_the_taxa_less() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = change(nuthatch, copyOfLarches(nuthatch), sheet -> {
                    for (JsonNode one : sheet.path("characters")) {
                        ((ObjectNode) one).put("weight", 0.05);
                    }
                })
                .expect(200);

        JsonNode season =
                nuthatch.get(draftPath(draft) + "/season?stage=mature").expect(200);

        assertThat(settled(season.path("after"))).isLessThan(settled(season.path("before")));
        nuthatch.get(draftPath(draft) + "/season?stage=ancient").expectProblem(422, "no-such-word");
    }

    @Test
    void what_would_change_tells_of_calls_that_read_differently() throws IOException {
        Caller siskin = signedIn("Siskin");
        for (String[] one : new String[][] {{"bud-resin", "dry"}, {"cone-scale-tips", "straight"}}) {
            readIfThere(siskin, one[0], one[1]);
        }
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = begin(nuthatch, Map.of("from", "change", "versionId", versionOf(nuthatch, "larches")));

        List<JsonNode> unchanged = effects(nuthatch, draft);
        JsonNode end = unchanged.get(unchanged.size() - 1);
        int calls = end.path("total").asInt();
        assertThat(calls).isPositive();
        assertThat(end.at("/counts/same").asInt()).isEqualTo(calls);
        assertThat(end.path("rows")).isEmpty();

        JsonNode turned = change(nuthatch, draft, sheet -> {
                    for (JsonNode one : sheet.path("characters")) {
                        swapProfiles((ObjectNode) one.path("profiles"));
                    }
                })
                .expect(200);
        List<JsonNode> lines = effects(nuthatch, turned);
        end = lines.get(lines.size() - 1);
        assertThat(end.at("/counts/lead").asInt()).isPositive();
        assertThat(end.at("/rows/0/effect").asText()).isEqualTo("lead");
        assertThat(end.at("/rows/0/before/taxon").asText())
                .isNotEqualTo(end.at("/rows/0/after/taxon").asText());

        JsonNode without = change(
                        nuthatch,
                        turned,
                        sheet -> ((ArrayNode) sheet.path("characters"))
                                .removeAll()
                                .add(draft.at("/sheet/characters/0")))
                .expect(200);
        lines = effects(nuthatch, without);
        end = lines.get(lines.size() - 1);
        assertThat(end.at("/counts/unreadable").asInt()).isPositive();
        assertThat(end.at("/rows/0/why").asText()).contains("character");
        nuthatch.delete(draftPath(draft)).expect(204);
    }

    @Test
    void what_others_read_and_did_not_sign_is_nobody_else_s() throws IOException {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = begin(nuthatch, Map.of("from", "change", "versionId", versionOf(nuthatch, "firs")));
        int before = totalOf(effects(nuthatch, draft));
        UUID tree = UUID.randomUUID();
        Caller siskin = signedIn("Siskin");
        plant(siskin, UUID.randomUUID(), tree, "firs");
        String path = surveyPath() + "/trees/" + tree;
        JsonNode character = siskin.get("/api/sheets/" + versionOf(siskin, "firs"))
                .expect(200)
                .at("/characters/0");
        Map<String, Object> reading = character.path("states").isEmpty()
                ? Map.of("character", character.path("id").asText(), "values", List.of(10), "notSeen", false)
                : Map.of(
                        "character",
                        character.path("id").asText(),
                        "states",
                        List.of(character.at("/states/0/id").asText()),
                        "notSeen",
                        false);
        String id = UUID.randomUUID().toString();
        siskin.put(path + "/readings/" + id, reading).expect(200);

        assertThat(totalOf(effects(nuthatch, draft))).isEqualTo(before);

        siskin.put(path + "/determinations/" + UUID.randomUUID(), signature("group", List.of(id)))
                .expect(200);
        assertThat(totalOf(effects(nuthatch, draft))).isEqualTo(before + 1);
        nuthatch.delete(draftPath(draft)).expect(204);
    }

    private static int totalOf(List<JsonNode> effects) {
        return effects.get(effects.size() - 1).path("total").asInt();
    }

    @Test
    void an_open_call_goes_on_with_the_newer_version_when_its_reader_says_so() {
        Caller wren = signedIn("Wren");
        Caller nuthatch = signedIn("Nuthatch");
        readOneCheck(wren);
        String before = versionOf(nuthatch, "larches");
        JsonNode draft = change(
                        nuthatch,
                        begin(nuthatch, Map.of("from", "change", "versionId", before)),
                        sheet -> sheet.put("why", sheet.path("why").asText() + " Told anew."))
                .expect(200);
        int newer = saved(nuthatch, draft).path("version").asInt();

        JsonNode bench = wren.get(treePath(TREE_OF_LARCHES) + "/bench").expect(200);
        assertThat(bench.path("newerVersion").asInt()).isEqualTo(newer);
        JsonNode moved =
                wren.put(treePath(TREE_OF_LARCHES) + "/newest-sheet", Map.of()).expect(200);
        assertThat(moved.has("newerVersion")).isFalse();
        assertThat(moved.path("readings")).isNotEmpty();

        JsonNode without = change(
                        nuthatch,
                        begin(nuthatch, Map.of("from", "change", "versionId", versionOf(nuthatch, "larches"))),
                        sheet -> {
                            ArrayNode characters = (ArrayNode) sheet.path("characters");
                            JsonNode kept = characters.get(characters.size() - 1);
                            characters.removeAll().add(kept);
                        })
                .expect(200);
        saved(nuthatch, without);
        JsonNode told = wren.put(treePath(TREE_OF_LARCHES) + "/newest-sheet", Map.of())
                .expectProblem(422, "does-not-fit-newer");
        assertThat(told.path("refusals")).isNotEmpty();

        // as it was before, for whoever comes next
        JsonNode back = begin(nuthatch, Map.of("from", "change", "versionId", versionOf(nuthatch, "larches")));
        JsonNode old = sheetFile(nuthatch, before);
        saved(
                nuthatch,
                change(nuthatch, back, sheet -> sheet.setAll((ObjectNode) old)).expect(200));
    }

    private static double settled(JsonNode season) {
        double sum = 0;
        for (JsonNode month : season.path("months")) {
            for (JsonNode taxon : month.path("taxa")) {
                sum += taxon.path("settles").asDouble();
            }
        }
        return sum;
    }

    /** Gives the first taxon what the second has, and the second what the first has. */
    private static void swapProfiles(ObjectNode profiles) {
        List<String> taxa = new ArrayList<>();
        profiles.fieldNames().forEachRemaining(taxa::add);
        Collections.sort(taxa);
        JsonNode first = profiles.get(taxa.get(0));
        profiles.set(taxa.get(0), profiles.get(taxa.get(1)));
        profiles.set(taxa.get(1), first);
    }

    private void readOneCheck(Caller caller) {
        JsonNode sheet = sheetOfBench(caller);
        for (JsonNode character : sheet.path("characters")) {
            if (!character.path("states").isEmpty()) {
                read(
                        caller,
                        character.path("id").asText(),
                        character.at("/states/0/id").asText());
                return;
            }
        }
    }

    private void readIfThere(Caller caller, String character, String state) {
        for (JsonNode one : sheetOfBench(caller).path("characters")) {
            if (one.path("id").asText().equals(character)
                    && one.path("states").findValuesAsText("id").contains(state)) {
                read(caller, character, state);
                return;
            }
        }
        readOneCheck(caller);
    }

    private static JsonNode sheetOfBench(Caller caller) {
        return caller.get("/api/sheets/" + versionOf(caller, "larches")).expect(200);
    }

    private static void read(Caller caller, String character, String state) {
        caller.put(
                        treePath(TREE_OF_LARCHES) + "/readings/" + UUID.randomUUID(),
                        Map.of(
                                "character",
                                character,
                                "states",
                                Collections.nCopies(3, state),
                                "certainty",
                                "sure",
                                "notSeen",
                                false))
                .expect(200);
    }

    private static List<JsonNode> effects(Caller caller, JsonNode draft) throws IOException {
        List<JsonNode> lines = new ArrayList<>();
        for (String line : caller.get(draftPath(draft) + "/effects").text().split("\n")) {
            lines.add(JSON.readTree(line));
        }
        return lines;
    }
}
