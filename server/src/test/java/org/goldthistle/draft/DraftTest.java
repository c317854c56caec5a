package org.goldthistle.draft;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.junit.jupiter.api.Test;

/** Somebody who knows the trees changes a sheet, sees what it would do, and saves it. */
class DraftTest extends ServerTest {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int TREE_OF_LARCHES = 38;

    private final String group = "larches-" + UUID.randomUUID();

    @Test
    void a_draft_is_checked_as_it_changes_and_saved_as_a_version() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = copyOfLarches(nuthatch);
        assertThat(draft.path("refusals")).isEmpty();

        JsonNode broken = change(nuthatch, draft, sheet -> character(sheet, 0).put("weight", 1.5))
                .expect(200);
        assertThat(broken.at("/refusals/0/key").asText()).isEqualTo("characters[0].weight");
        assertThat(broken.at("/refusals/0/found").asText()).isEqualTo("1.5");
        nuthatch.put(draftPath(draft) + "/version", Map.of("note", "")).expectProblem(422, "not-a-sheet");
        nuthatch.get(draftPath(draft) + "/season").expectProblem(422, "not-a-sheet");

        JsonNode mended = change(nuthatch, broken, sheet -> character(sheet, 0).put("weight", 0.5))
                .expect(200);
        assertThat(mended.path("refusals")).isEmpty();
        JsonNode saved = nuthatch.put(draftPath(draft) + "/version", Map.of("note", " Read again in the arboretum. "))
                .expect(200);

        assertThat(saved.path("version").asInt()).isEqualTo(1);
        JsonNode versions =
                nuthatch.get("/api/sheets/versions?groupId=" + group).expect(200);
        assertThat(versions.at("/0/madeBy").asText()).isEqualTo("Nuthatch");
        assertThat(versions.at("/0/note").asText()).isEqualTo("Read again in the arboretum.");
        assertThat(versions.at("/0/builtIn").asBoolean()).isFalse();
        nuthatch.get(draftPath(draft)).expectProblem(404, "no-such-draft");
        assertThat(nuthatch.get("/api/sheets/names?find=European%20larch")
                        .expect(200)
                        .findValuesAsText("groupId"))
                .contains(group);
    }

    @Test
    void the_second_version_tells_what_is_different_and_the_first_stays() {
        Caller nuthatch = signedIn("Nuthatch");
        String first =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        JsonNode draft = begin(nuthatch, Map.of("from", "change", "versionId", first));
        assertThat(draft.path("basedOnVersion").asInt()).isEqualTo(1);
        nuthatch.put(draftPath(draft) + "/version", Map.of("note", "")).expectProblem(422, "nothing-changed");

        JsonNode changed = change(nuthatch, draft, sheet -> character(sheet, 0).put("weight", 0.1))
                .expect(200);
        JsonNode differences = nuthatch.get(draftPath(draft) + "/differences").expect(200);
        String second = saved(nuthatch, changed).path("versionId").asText();

        assertThat(differences).hasSize(1);
        assertThat(differences.at("/0/what").asText()).isEqualTo("weight");
        assertThat(differences.at("/0/after").asText()).isEqualTo("0.1");
        assertThat(nuthatch.get("/api/sheets/differences?from=" + first + "&to=" + second)
                        .expect(200))
                .isEqualTo(differences);
        assertThat(nuthatch.get("/api/sheets/" + first)
                        .expect(200)
                        .path("version")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void a_draft_is_one_persons_and_other_editors_see_it() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = copyOfLarches(nuthatch);
        Caller treecreeper = signedIn("Treecreeper");

        JsonNode seen = treecreeper.get(draftPath(draft)).expect(200);
        assertThat(seen.path("owner").asText()).isEqualTo("Nuthatch");
        assertThat(seen.path("mine").asBoolean()).isFalse();
        assertThat(treecreeper.get("/api/drafts").expect(200).findValuesAsText("id"))
                .contains(draft.path("id").asText());
        change(treecreeper, seen, sheet -> sheet.put("title", "Mine")).expectProblem(403, "draft-of-another");
        treecreeper.delete(draftPath(draft)).expectProblem(403, "draft-of-another");
        signedIn("Siskin").get(draftPath(draft)).expectProblem(403, "not-yours-to-do");
        signedIn("Siskin").get("/api/drafts").expectProblem(403, "not-yours-to-do");

        nuthatch.delete(draftPath(draft)).expect(204);
        nuthatch.delete(draftPath(draft)).expect(204);
    }

    @Test
    void a_change_from_another_page_is_not_written_over_and_one_sent_twice_is_one() {
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode draft = copyOfLarches(nuthatch);
        JsonNode here =
                change(nuthatch, draft, sheet -> sheet.put("title", "Here")).expect(200);

        JsonNode told =
                change(nuthatch, draft, sheet -> sheet.put("title", "There")).expectProblem(409, "stale");
        assertThat(told.at("/kept/sheet/title").asText()).isEqualTo("Here");
        JsonNode again =
                change(nuthatch, draft, sheet -> sheet.put("title", "Here")).expect(200);
        assertThat(again.path("revision").asInt())
                .isEqualTo(here.path("revision").asInt());
    }

    @Test
    void whoever_saves_after_another_looks_at_the_newer_version_first() {
        Caller nuthatch = signedIn("Nuthatch");
        Caller redpoll = signedIn("Redpoll");
        String first =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        Map<String, Object> begun = Map.of("from", "change", "versionId", first);
        JsonNode mine = change(nuthatch, begin(nuthatch, begun), sheet -> sheet.put("title", "Larches, mine"))
                .expect(200);
        JsonNode theirs = change(redpoll, begin(redpoll, begun), sheet -> sheet.put("title", "Larches, theirs"))
                .expect(200);
        String newest = saved(redpoll, theirs).path("versionId").asText();

        assertThat(nuthatch.get(draftPath(mine)).expect(200).path("newest").asText())
                .isEqualTo(newest);
        JsonNode told =
                nuthatch.put(draftPath(mine) + "/version", Map.of("note", "")).expectProblem(409, "stale");
        assertThat(told.path("kept").asText()).isEqualTo(newest);
        JsonNode saved = nuthatch.put(draftPath(mine) + "/version", Map.of("note", "", "over", newest))
                .expect(200);
        assertThat(saved.path("version").asInt()).isEqualTo(3);
    }

    @Test
    void a_sheet_made_elsewhere_is_taken_in_and_a_broken_one_refused_with_its_places() {
        Caller nuthatch = signedIn("Nuthatch");
        String text = BuiltInLibrary.sheetText("larches").replace("\"id\": \"larches\"", "\"id\": \"" + group + "\"");

        JsonNode refused = file(nuthatch, text.replaceFirst("\"weight\": [0-9.]+", "\"weight\": 7"))
                .expectProblem(422, "not-a-sheet");
        assertThat(refused.at("/refusals/0/key").asText()).isEqualTo("characters[0].weight");
        file(nuthatch, text.replaceFirst("\"cluster\"", "\"clutter\"")).expectProblem(422, "not-a-sheet");
        file(nuthatch, "{\"format\": ").expectProblem(422, "not-a-sheet");
        nuthatch.putBytes(
                        "/api/drafts/" + UUID.randomUUID() + "/file",
                        "{\"é\": 1}".getBytes(StandardCharsets.ISO_8859_1))
                .expectProblem(422, "not-a-sheet");
        nuthatch.putBytes("/api/drafts/" + UUID.randomUUID() + "/file", new byte[5 * 1024 * 1024 + 1])
                .expectProblem(422, "file-too-large");

        JsonNode taken = file(nuthatch, "\uFEFF" + text).expect(200);
        String version = saved(nuthatch, taken).path("versionId").asText();
        assertThat(GroupSheetJson.read(
                        nuthatch.get("/api/sheets/" + version + "/file").text()))
                .isEqualTo(GroupSheetJson.read(text));

        JsonNode next = file(nuthatch, text.replaceFirst("\"title\": \"", "\"title\": \"Other "))
                .expect(200);
        assertThat(next.path("groupId").asText()).isEqualTo(group);
        file(nuthatch, text).expectProblem(409, "draft-already");
    }

    @Test
    void the_matrix_goes_out_as_a_table_and_comes_back_changed() {
        Caller nuthatch = signedIn("Nuthatch");
        String version =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        JsonNode draft = begin(nuthatch, Map.of("from", "change", "versionId", version));
        String table = nuthatch.get("/api/sheets/" + version + "/matrix.csv").text();
        String[] rows = table.split("\r\n");
        String first = rows[1].split(",")[0] + "," + rows[1].split(",")[1] + ",";

        assertThat(matrix(nuthatch, draft, table).expect(200).path("sheet")).isEqualTo(draft.path("sheet"));
        assertThat(matrix(nuthatch, draft, table.replace(first, "antlers,europaea,"))
                        .expectProblem(422, "matrix-does-not-fit")
                        .at("/refusals/0/key")
                        .asText())
                .isEqualTo("row 2, character");
        matrix(nuthatch, draft, "not,a,matrix").expectProblem(422, "matrix-does-not-fit");
    }

    @Test
    void a_regional_sheet_differs_in_occurrence_and_months_alone_and_follows_its_original() {
        Caller nuthatch = signedIn("Nuthatch");
        String original =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        Map<String, Object> asked = new HashMap<>(Map.of("from", "region", "versionId", original));
        asked.putAll(Map.of("groupId", group + "-drumlin", "title", "Larches, Drumlin", "region", "Drumlin district"));
        JsonNode regional = change(nuthatch, begin(nuthatch, asked), sheet -> {
                    ((ObjectNode) sheet.at("/taxa/0")).put("abundance", 1);
                    ((ObjectNode) sheet.at("/taxa/1")).put("abundance", 98);
                    ((ObjectNode) sheet.at("/taxa/2")).put("abundance", 1);
                    character(sheet, 0).put("weight", 0.11);
                })
                .expect(200);
        assertThat(nuthatch.put(draftPath(regional) + "/version", Map.of("note", ""))
                        .expectProblem(422, "not-a-sheet")
                        .path("detail")
                        .asText())
                .contains("weight");
        double before = character(JSON.valueToTree(regional.path("sheet")), 0)
                .path("weight")
                .asDouble();
        JsonNode mended = change(
                        nuthatch,
                        regional,
                        sheet -> character(sheet, 0)
                                .put(
                                        "weight",
                                        nuthatch.get("/api/sheets/" + original)
                                                .expect(200)
                                                .at("/characters/0/weight")
                                                .asDouble()))
                .expect(200);
        assertThat(before).isEqualTo(0.11);
        saved(nuthatch, mended);

        JsonNode newer = change(
                        nuthatch,
                        begin(nuthatch, Map.of("from", "change", "versionId", original)),
                        sheet -> character(sheet, 0).put("weight", 0.22))
                .expect(200);
        saved(nuthatch, newer);

        JsonNode versions = nuthatch.get("/api/sheets/versions?groupId=" + group + "-drumlin")
                .expect(200);
        assertThat(versions).hasSize(2);
        assertThat(versions.at("/0/original").asText()).isEqualTo(group);
        assertThat(versions.at("/0/originalVersion").asInt()).isEqualTo(2);
        JsonNode followed = sheetFile(nuthatch, versions.at("/0/id").asText());
        assertThat(followed.at("/characters/0/weight").asDouble()).isEqualTo(0.22);
        assertThat(followed.at("/taxa/1/abundance").asDouble()).isEqualTo(98);
        begin(
                nuthatch,
                422,
                Map.of("from", "region", "versionId", versions.at("/0/id").asText()));
    }

    @Test
    void a_regional_sheet_that_does_not_fit_its_original_any_more_stays_behind_and_says_so() {
        Caller nuthatch = signedIn("Nuthatch");
        String original =
                saved(nuthatch, copyOfLarches(nuthatch)).path("versionId").asText();
        Map<String, Object> asked = new HashMap<>(Map.of("from", "region", "versionId", original));
        asked.putAll(Map.of("groupId", group + "-coast", "title", "Larches, coast", "region", "The coast"));
        JsonNode regional = change(nuthatch, begin(nuthatch, asked), sheet -> {
                    add(sheet, 0, -1);
                    add(sheet, 1, 1);
                })
                .expect(200);
        saved(nuthatch, regional);

        JsonNode newer = change(nuthatch, begin(nuthatch, Map.of("from", "change", "versionId", original)), sheet -> {
                    add(sheet, 0, -3);
                    add(sheet, 2, 3);
                })
                .expect(200);
        saved(nuthatch, newer);

        JsonNode versions =
                nuthatch.get("/api/sheets/versions?groupId=" + group + "-coast").expect(200);
        assertThat(versions).hasSize(1);
        assertThat(versions.at("/0/originalVersion").asInt()).isEqualTo(1);
        assertThat(versions.at("/0/newestOriginal").asInt()).isEqualTo(2);
    }

    private static void add(ObjectNode sheet, int taxon, double abundance) {
        ObjectNode one = (ObjectNode) sheet.path("taxa").get(taxon);
        one.put("abundance", one.path("abundance").asDouble() + abundance);
    }

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

    private JsonNode copyOfLarches(Caller caller) {
        return begin(
                caller,
                Map.of(
                        "from",
                        "copy",
                        "versionId",
                        versionOf(caller, "larches"),
                        "groupId",
                        group,
                        "title",
                        "Larches again",
                        "region",
                        "Tarnholt Forest"));
    }

    private static JsonNode begin(Caller caller, Map<String, Object> how) {
        return begin(caller, 200, how);
    }

    private static JsonNode begin(Caller caller, int status, Map<String, Object> how) {
        return caller.put("/api/drafts/" + UUID.randomUUID(), how).expect(status);
    }

    private static Caller.Answer change(Caller caller, JsonNode draft, Consumer<ObjectNode> change) {
        ObjectNode sheet = draft.path("sheet").deepCopy();
        change.accept(sheet);
        return caller.put(
                draftPath(draft) + "/sheet",
                Map.of("revision", draft.path("revision").asInt(), "sheet", sheet));
    }

    private static JsonNode saved(Caller caller, JsonNode draft) {
        return caller.put(draftPath(draft) + "/version", Map.of("note", "")).expect(200);
    }

    private static Caller.Answer file(Caller caller, String text) {
        return caller.putBytes("/api/drafts/" + UUID.randomUUID() + "/file", text.getBytes(StandardCharsets.UTF_8));
    }

    private static Caller.Answer matrix(Caller caller, JsonNode draft, String table) {
        return caller.putBytes(draftPath(draft) + "/matrix", table.getBytes(StandardCharsets.UTF_8));
    }

    private static List<JsonNode> effects(Caller caller, JsonNode draft) throws IOException {
        List<JsonNode> lines = new ArrayList<>();
        for (String line : caller.get(draftPath(draft) + "/effects").text().split("\n")) {
            lines.add(JSON.readTree(line));
        }
        return lines;
    }

    private static ObjectNode character(JsonNode sheet, int index) {
        return (ObjectNode) sheet.path("characters").get(index);
    }

    private static JsonNode sheetFile(Caller caller, String version) {
        return caller.get("/api/sheets/" + version + "/file").expect(200);
    }

    private static String draftPath(JsonNode draft) {
        return "/api/drafts/" + draft.path("id").asText();
    }

    private static String versionOf(Caller caller, String group) {
        for (JsonNode one : caller.get("/api/sheets").expect(200)) {
            if (one.path("groupId").asText().equals(group)) {
                return one.path("versionId").asText();
            }
        }
        throw new AssertionError("no sheet of " + group);
    }
}
