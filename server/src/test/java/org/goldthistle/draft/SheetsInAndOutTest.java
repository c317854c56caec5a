package org.goldthistle.draft;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;
import org.junit.jupiter.api.Test;

/** Sheets and their figures go out and come in; a regional one is laid over its original. */
class SheetsInAndOutTest extends DraftCase {
    @Test
    void a_sheet_made_elsewhere_is_taken_in_and_a_broken_one_refused_with_its_places() {
        Caller nuthatch = signedIn("Nuthatch");
        String text = BuiltInLibrary.sheetText("larches").replace("\"id\": \"larches\"", "\"id\": \"" + group + "\"");

        JsonNode refused = file(nuthatch, text.replaceFirst("\"weight\": [0-9.]+", "\"weight\": 7"))
                .expectProblem(422, "not-a-sheet");
        assertThat(refused.at("/refusals/0/key").asText()).isEqualTo("characters[0].weight");
        JsonNode misspelt = file(nuthatch, text.replaceFirst("\"howTo\"", "\"howTwo\": \"\", \"howTo\""))
                .expect(200);
        assertThat(misspelt.at("/unknown/0/key").asText()).isEqualTo("howTwo");
        assertThat(misspelt.at("/unknown/0/nearest").asText()).isEqualTo("howTo");
        assertThat(misspelt.path("sheet").toString()).contains("howTwo"); // kept as long as it is a draft
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
        nuthatch.put(
                        "/api/drafts/" + UUID.randomUUID(),
                        Map.of(
                                "from",
                                "region",
                                "versionId",
                                versions.at("/0/id").asText()))
                .expectProblem(422, "regional-already");
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

    private static Caller.Answer file(Caller caller, String text) {
        return caller.putBytes("/api/drafts/" + UUID.randomUUID() + "/file", text.getBytes(StandardCharsets.UTF_8));
    }

    private static Caller.Answer matrix(Caller caller, JsonNode draft, String table) {
        return caller.putBytes(draftPath(draft) + "/matrix", table.getBytes(StandardCharsets.UTF_8));
    }
}
