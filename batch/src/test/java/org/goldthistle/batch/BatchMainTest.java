package org.goldthistle.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.CaseFileJson;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class BatchMainTest {
    private static final ObjectMapper JSON = new ObjectMapper();

    @TempDir
    private Path folder;

    private String sheet;
    private String specimens;

    @BeforeEach
    void write_files() throws IOException {
        sheet = write("birches.json", BuiltInLibrary.sheetText("birches"));
        specimens = write("trees.json", BuiltInLibrary.specimensText("birches"));
    }

    @Test
    void each_specimen_gets_a_line_with_all_that_was_found() throws IOException {
        Run run = run("evaluate", sheet, specimens, "--tier", "record");

        JsonNode first = run.lines().get(0);
        assertThat(run.code()).isZero();
        assertThat(run.lines()).hasSize(8);
        assertThat(fieldNames(first))
                .containsExactly(
                        "id",
                        "tier",
                        "lead",
                        "rival",
                        "posterior",
                        "points",
                        "weights",
                        "rules",
                        "verdict",
                        "contested",
                        "reasons",
                        "stillNeeded",
                        "recommended",
                        "confirming",
                        "pivotal",
                        "contrary",
                        "next",
                        "ancestry",
                        "surprise");
        // the figures of the two independent implementations, as the tests of formats have them
        assertThat(first.at("/posterior/pendula").asDouble()).isEqualTo(0.9982597325836376, nineDigits());
        assertThat(first.path("stillNeeded").toString()).isEqualTo("[\"quorum\",\"gate\",\"photo\"]");
    }

    @Test
    void a_byte_order_mark_is_passed_over_and_what_is_no_text_is_told_in_words() throws IOException {
        String marked = write("marked.json", "\uFEFF" + Files.readString(Path.of(sheet)));
        String latin = write("latin.json", "");
        Files.write(Path.of(latin), "{\"title\": \"K\u00f6rn\"}".getBytes(StandardCharsets.ISO_8859_1));
        String empty = write("empty.json", "");

        assertThat(run("evaluate", marked, specimens).lines()).hasSize(8);
        for (Run refused : List.of(
                run("evaluate", latin, specimens),
                run("evaluate", sheet, latin),
                run("evaluate", sheet, empty),
                run("separability", latin),
                run("separability", empty))) {
            assertThat(refused.code()).isEqualTo(1);
            assertThat(refused.err())
                    .containsAnyOf("UTF-8", "the file is empty")
                    .doesNotContain("\tat ");
        }
    }

    @Test
    void the_file_of_a_case_is_reckoned_again_and_compared_with_what_it_recorded() throws IOException {
        JsonNode first = run("evaluate", sheet, specimens).lines().get(0);
        String good = write("case.json", caseFile(first.path("posterior")).toString());
        String changed = write(
                "changed.json", caseFile(first.path("posterior")).toString().replace("\"tag\":23", "\"tag\":24"));
        ObjectNode others = first.path("posterior").deepCopy();
        others.put("pendula", 0.5);
        String wrong = write("wrong.json", caseFile(others).toString());

        assertThat(run("evaluate", good).code()).isZero();
        assertThat(run("evaluate", good).lines().get(0).at("/posterior/pendula").asDouble())
                .isEqualTo(first.at("/posterior/pendula").asDouble());
        assertThat(run("evaluate", changed).code()).isEqualTo(1);
        assertThat(run("evaluate", changed).err()).contains("was changed after it was written");
        assertThat(run("evaluate", wrong).code()).isEqualTo(1);
        assertThat(run("evaluate", wrong).err()).contains("Other figures come out");
        assertThat(run("evaluate", sheet).err()).contains("a sheet alone cannot be evaluated");
    }

    /** A case of the first specimen with these shares on record. */
    private static JsonNode caseFile(JsonNode posterior) throws IOException {
        ObjectNode data = JSON.createObjectNode();
        ObjectNode settled = data.putObject("case");
        settled.put("id", "2c1a37a8-7d0c-4a51-9d3c-0d3f7a5b7f11").put("surveyName", "Kettle Moss round");
        settled.put("plotCode", "Kettle Moss 07").put("tag", 23);
        settled.putArray("reasons");
        settled.putArray("words");
        settled.putArray("decisions");
        ObjectNode stands = settled.putObject("stands");
        stands.put("outcome", "taxon").put("observer", "Redpoll").put("signedAt", "2026-09-14T09:00:00Z");
        stands.putArray("alsoBy");
        ObjectNode reading = settled.putArray("readings").addObject();
        reading.put("observer", "birches-s1").put("blind", true);
        ObjectNode signed = reading.putObject("determination");
        signed.put("outcome", "taxon").put("signedAt", "2026-09-14T09:00:00Z").put("sheetVersion", 1);
        signed.putArray("readings");
        signed.putObject("judgement");
        ArrayNode shares =
                signed.putObject("figures").putObject("withSurroundings").putArray("shares");
        posterior
                .properties()
                .forEach(
                        share -> shares.addObject().put("taxon", share.getKey()).set("posterior", share.getValue()));
        ObjectNode stored = data.putObject("sheet");
        stored.put("version", 1).put("sha256", "0".repeat(64));
        stored.set("body", JSON.readTree(BuiltInLibrary.sheetText("birches")));
        ObjectNode specimen =
                JSON.readTree(BuiltInLibrary.specimensText("birches")).get(0).deepCopy();
        data.putArray("specimens").add(specimen);
        return CaseFileJson.of(data);
    }

    @Test
    void features_alone_leave_the_surroundings_out_of_the_balance() throws IOException {
        JsonNode first =
                run("evaluate", sheet, specimens, "--features-alone").lines().get(0);

        assertThat(first.at("/posterior/pendula").asDouble()).isEqualTo(0.9627574492170479, nineDigits());
    }

    @Test
    void wounding_checks_are_offered_only_when_allowed() throws IOException {
        JsonNode gentle = run("evaluate", sheet, specimens).lines().get(0);
        JsonNode wounding =
                run("evaluate", sheet, specimens, "--allow-wounding").lines().get(0);

        assertThat(gentle.path("next").findValuesAsText("character")).doesNotContain("inner-bark-test");
        assertThat(wounding.path("next").findValuesAsText("character")).contains("inner-bark-test");
    }

    @Test
    void a_school_changes_the_weights() throws IOException {
        JsonNode first = run("evaluate", sheet, specimens, "--school", "close-characters")
                .lines()
                .get(0);

        assertThat(first.at("/weights/crown-twigs").asDouble()).isEqualTo(0.28);
    }

    @Test
    void a_broken_specimen_gets_an_error_and_the_rest_go_on() throws IOException {
        String broken = write(
                "broken.json",
                BuiltInLibrary.specimensText("birches")
                        .replaceFirst("\"bosses\"", "\"horns\"")
                        .replaceFirst("\"month\": 7", "\"month\": 17"));

        Run run = run("evaluate", sheet, broken);

        assertThat(run.code()).isEqualTo(1);
        assertThat(run.lines()).hasSize(8);
        assertThat(run.lines().get(0).path("error").asText()).contains("horns");
        assertThat(run.lines().get(1).path("error").asText()).contains("context.month", "17");
        assertThat(run.lines().get(2).has("lead")).isTrue();
    }

    @Test
    void text_that_stops_being_json_ends_with_an_error_after_what_could_be_read() throws IOException {
        String whole = BuiltInLibrary.specimensText("birches");
        String cut = write("cut.json", whole.substring(0, whole.length() / 2));

        Run run = run("evaluate", sheet, cut);

        assertThat(run.code()).isEqualTo(1);
        assertThat(run.lines().get(0).has("lead")).isTrue();
        assertThat(run.lines().get(run.lines().size() - 1).path("error").asText())
                .contains("nothing after this place");
    }

    @Test
    void a_broken_sheet_is_refused_with_file_and_key() throws IOException {
        String broken = write(
                "bad.json", BuiltInLibrary.sheetText("birches").replaceFirst("\"weight\": 0.58", "\"weight\": 58"));

        Run run = run("evaluate", broken, specimens);

        assertThat(run.code()).isEqualTo(1);
        assertThat(run.err()).contains("bad.json: characters[0].weight: found 58.0");
    }

    @Test
    void wrong_usage_is_told_with_the_choices() throws IOException {
        Run run = run("evaluate", sheet, specimens, "--tier", "guess");

        assertThat(run.code()).isEqualTo(2);
        assertThat(run.err()).contains("guess", "tally, record, control");
        assertThat(run("evaluate", sheet, "missing.json").err()).contains("there is no such file");
    }

    @Test
    void the_table_is_for_people() throws IOException {
        Run run = run("evaluate", sheet, specimens, "--format", "table");

        assertThat(run.out().lines()).hasSize(9).first().asString().contains("lead", "share", "verdict");
        assertThat(run.out()).contains("silver birch", "99.83 %");
    }

    @Test
    void separability_tells_the_months_and_what_is_taken_for_what() throws IOException {
        JsonNode found =
                JSON.readTree(run("separability", sheet, "--stage", "mature", "--no-wounding", "--format", "json")
                        .out());

        JsonNode september = found.path("months").get(8);
        assertThat(found.path("months")).hasSize(12);
        assertThat(september.at("/taxa/pendula/settle").asDouble()).isGreaterThan(0.5);
        double row = 0;
        for (JsonNode share : september.at("/confusion/pendula")) {
            row += share.asDouble();
        }
        assertThat(row).isEqualTo(1, within(1e-12));
        assertThat(run("separability", sheet).out()).contains("month 9", "unsettled");
    }

    private String write(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text).toString();
    }

    private static Offset<Double> nineDigits() {
        return within(1e-9);
    }

    private static List<String> fieldNames(JsonNode node) {
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    private static Run run(String... arguments) {
        var out = new StringWriter();
        var err = new StringWriter();
        int code = BatchMain.run(new PrintWriter(out), new PrintWriter(err), arguments);
        return new Run(code, out.toString(), err.toString());
    }

    private record Run(int code, String out, String err) {
        List<JsonNode> lines() throws IOException {
            List<JsonNode> lines = new ArrayList<>();
            for (String line : out.lines().toList()) {
                lines.add(JSON.readTree(line));
            }
            return lines;
        }
    }
}
