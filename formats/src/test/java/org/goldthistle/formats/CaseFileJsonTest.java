package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;

class CaseFileJsonTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @Test
    void what_was_written_is_read_again_and_its_print_fits_however_its_numbers_are_spelt() throws IOException {
        String text = CaseFileJson.of(data()).toString();

        CaseFileJson.CaseFile file = CaseFileJson.read(text);

        assertThat(file.intact()).isTrue();
        assertThat(file.sheet().id()).isEqualTo("birches");
        assertThat(file.specimens()).extracting(Specimen::id).containsExactly("Dipper");
        assertThat(file.shares().get("Dipper")).containsEntry("pendula", 0.5);
        assertThat(CaseFileJson.read(text.replace("\"posterior\":0.5}", "\"posterior\": 5.0E-1}"))
                        .intact())
                .isTrue();
        assertThat(CaseFileJson.isCaseFile(text)).isTrue();
        assertThat(CaseFileJson.isCaseFile(BuiltInLibrary.sheetText("birches"))).isFalse();
    }

    @Test
    void whoever_changes_a_figure_breaks_the_print() throws IOException {
        String text = CaseFileJson.of(data()).toString();

        assertThat(CaseFileJson.read(text.replace("\"posterior\":0.5}", "\"posterior\":0.6}"))
                        .intact())
                .isFalse();
    }

    @Test
    void what_breaks_the_schema_is_refused_with_its_place() throws IOException {
        ObjectNode data = data();
        ((ObjectNode) data.path("case")).remove("stands");
        ObjectNode file = (ObjectNode) CaseFileJson.of(data);
        file.put("note", "by hand");

        assertThatThrownBy(() -> CaseFileJson.read(file.toString()))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("stands")
                .hasMessageContaining("note");
        assertThatThrownBy(() -> CaseFileJson.read("{")).isInstanceOf(RefusedException.class);
    }

    private static ObjectNode data() throws IOException {
        ObjectNode data = JSON.createObjectNode();
        data.set("case", JSON.readTree("""
                        {"id": "2c1a37a8-7d0c-4a51-9d3c-0d3f7a5b7f11", "surveyName": "Kettle Moss round",
                         "plotCode": "Kettle Moss 07", "tag": 23, "reasons": ["contested"], "words": [], "decisions": [],
                         "stands": {"outcome": "taxon", "observer": "Redpoll", "alsoBy": ["Dipper"], "signedAt": "2026-09-14T09:00:00Z"},
                         "readings": [{"observer": "Dipper", "blind": false, "determination": {"outcome": "taxon",
                           "signedAt": "2026-09-14T09:00:00Z", "readings": [], "judgement": {}, "sheetVersion": 1,
                           "figures": {"withSurroundings": {"shares": [{"taxon": "pendula", "posterior": 0.5}]}}}}]}"""));
        ObjectNode sheet = data.putObject("sheet");
        sheet.put("version", 1).put("sha256", "0".repeat(64));
        sheet.set("body", JSON.readTree(BuiltInLibrary.sheetText("birches")));
        JsonNode specimen = JSON.readTree("""
                {"id": "Dipper", "context": {"month": 9, "stage": "mature", "origin": "wild"},
                 "observations": [{"character": "twig-warts", "state": "few", "certainty": "sure"}]}""");
        data.putArray("specimens").add(specimen);
        return data;
    }
}
