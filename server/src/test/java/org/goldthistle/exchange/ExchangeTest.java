package org.goldthistle.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.goldthistle.Caller;
import org.goldthistle.formats.CsvFile;
import org.goldthistle.formats.FileRow;
import org.junit.jupiter.api.Test;

/** Surveys in and out as files. */
class ExchangeTest extends ImportedSurvey {
    @Test
    void what_leaves_and_is_no_table_of_plots_and_trees_is_told_when_it_comes_back() {
        Map.of(
                        "/determinations.csv", "a table of signatures, which nobody gives for somebody else",
                        "/readings.csv", "a table of readings, which belong to whoever made them",
                        "/darwin-core.zip", "an archive")
                .forEach((what, words) -> assertThat(sendBytes(lead.bytes(surveyPath() + what))
                                .expectProblem(422, "unreadable-file")
                                .toString())
                        .contains(words, "Nothing was kept"));
        for (String layer : List.of("plots", "trees", "both")) {
            sendBytes(lead.bytes(surveyPath() + "/export.geojson?layer=" + layer))
                    .expect(200);
        }
    }

    @Test
    void a_table_is_checked_and_stored_with_its_plots() {
        String file = checked(
                HEADING + "Beck 1,55.03,-20.38,12,1,0,3.5,21.4,mature,wild,birches,,\n"
                        + "Beck 1,,,,2,90,4,9,pole,,,Quercus robur,\n"
                        + "Beck 1,,,,3,91,4.2,8,pole,,birches,,1\n"
                        + "Rigg 2,,,,,,,,,,,,\n",
                0);

        lead.put(file + "/stored", Map.of()).expect(200);
        JsonNode stored = ended(file, "stored");

        assertThat(stored.path("plotsNew").asInt()).isEqualTo(2);
        JsonNode plots = lead.get(path() + "/plots").expect(200);
        assertThat(plots.findValuesAsText("code")).containsExactly("Beck 1", "Rigg 2");
        JsonNode trees = lead.get(path() + "/plots/" + plots.at("/0/id").asText() + "/trees")
                .expect(200);
        assertThat(trees.at("/0/diameterMillimetres").asInt()).isEqualTo(214);
        assertThat(trees.at("/1/standsAs").asText()).isEqualTo("plain");
        assertThat(trees.at("/2/cloneOf")).isEqualTo(trees.at("/0/id"));
        assertThat(lead.get(path() + "/trees/" + trees.at("/0/id").asText() + "/history")
                        .expect(200)
                        .at("/0/what")
                        .asText())
                .isEqualTo("imported the tree");
    }

    @Test
    void what_was_stored_is_taken_back_whole_ten_thousand_rows_too() {
        StringBuilder rows = new StringBuilder(HEADING);
        for (int i = 0; i < 10_000; i++) {
            rows.append("Beck ").append(i / 100).append(",55.03,-20.38,12,").append(i % 100 + 1);
            rows.append(",")
                    .append(i % 360)
                    .append(",3.5,21.4,mature,wild,birches,,")
                    .append(i % 100 == 1 ? "1\n" : "\n");
        }
        String file = checked(rows.toString(), 0);
        lead.put(file + "/stored", Map.of()).expect(200);
        ended(file, "stored");
        lead.delete(file).expect(204); // its content goes, what it brought can still be taken back
        assertThat(lead.get(path() + "/imports").expect(200).at("/0/trees").asInt())
                .isEqualTo(10_000);

        JsonNode back = lead.put(file + "/taken-back", Map.of()).expect(200);
        lead.put(file + "/taken-back", Map.of()).expect(200); // sent twice

        assertThat(back.path("told").asText()).contains("100 plots and 10000 trees are gone again");
        assertThat(lead.get(path() + "/plots").expect(200)).isEmpty();
        assertThat(lead.get(path() + "/imports").expect(200)).isEmpty();
    }

    @Test
    void an_import_that_somebody_went_on_with_is_not_taken_back() {
        String file = checked(
                HEADING + "Beck 1,55.03,-20.38,12,1,0,3.5,21.4,mature,wild,birches,,\n"
                        + "Beck 1,,,,2,90,4,9,pole,,birches,,\n",
                0);
        lead.put(file + "/taken-back", Map.of()).expectProblem(409, "not-stored");
        lead.put(file + "/stored", Map.of()).expect(200);
        ended(file, "stored");
        String plot = lead.get(path() + "/plots").expect(200).at("/0/id").asText();
        String tree = lead.get(path() + "/plots/" + plot + "/trees")
                .expect(200)
                .at("/1/id")
                .asText();
        lead.put(
                        path() + "/trees/" + tree + "/readings/" + UUID.randomUUID(),
                        Map.of("character", "twig-hairs", "notSeen", true))
                .expect(200);

        JsonNode problem = lead.put(file + "/taken-back", Map.of()).expectProblem(409, "import-touched");

        assertThat(problem.path("detail").asText()).contains("Beck 1, tree 2", "Nothing was changed");
        assertThat(lead.get(path() + "/plots/" + plot + "/trees").expect(200)).hasSize(2);
    }

    @Test
    void a_round_trip_loses_nothing() throws IOException {
        String exported = text(lead.get(surveyPath() + "/export.csv"));
        String file = checked(exported, 0);
        lead.put(file + "/stored", Map.of()).expect(200);
        ended(file, "stored");

        String again = text(lead.get(path() + "/export.csv"));

        assertThat(undetermined(again)).isEqualTo(undetermined(exported));
        assertThat(exported.lines().count()).isGreaterThan(200);
    }

    @Test
    void a_map_goes_the_same_way_round() throws IOException {
        String map = text(lead.get(surveyPath() + "/export.geojson"));
        String file = checked(map, 0);
        lead.put(file + "/stored", Map.of()).expect(200);
        ended(file, "stored");

        assertThat(undetermined(text(lead.get(path() + "/export.csv"))))
                .isEqualTo(undetermined(text(lead.get(surveyPath() + "/export.csv"))));
    }

    @Test
    void readings_leave_with_what_they_were_taken_from() throws IOException {
        read(readTree());

        assertThat(text(lead.get(path() + "/readings.csv")).lines().skip(1).map(ExchangeTest::withoutDay))
                .containsExactly(
                        "Beck 1,1,birches,1,ltf,\"LTF, leaf tooth factor\",Treecreeper,DAY,seen,1,,,3,,,4,1,,,",
                        "Beck 1,1,birches,1,ltf,\"LTF, leaf tooth factor\",Treecreeper,DAY,seen,2,,,2,,,,,,,",
                        "Beck 1,1,birches,1,dft,\"DFT, stalk to first tooth\",Treecreeper,DAY,seen,1,,,10.25,mm,0.2,,,,,",
                        "Beck 1,1,birches,1,twig-hairs,Hairs on one-year twigs,Treecreeper,DAY,not seen,,,,,,,,,,,");
        String map = text(lead.get(path() + "/export.geojson"));
        assertThat(map).contains("\"error\":0.2", "\"parts\":[4.0,1.0]");
        assertThat(sendBytes(map.getBytes(StandardCharsets.UTF_8)).expect(200).toString())
                .doesNotContain("readings");
    }

    @Test
    void readings_of_others_leave_once_they_are_signed_and_as_they_were() throws IOException {
        String tree = readTree();
        read(tree);
        assertThat(text(signedIn("Wren").get(path() + "/readings.csv")).lines())
                .as("somebody else, before it is signed")
                .hasSize(1);
        List<String> ids = new ArrayList<>();
        lead.get(path() + "/trees/" + tree + "/bench")
                .expect(200)
                .path("readings")
                .forEach(one -> ids.add(one.path("id").asText()));
        lead.put(path() + "/trees/" + tree + "/determinations/" + UUID.randomUUID(), signature("group", ids))
                .expect(200);
        read(tree, Map.of("character", "dft", "values", List.of(19), "notSeen", false)); // since

        assertThat(text(signedIn("Wren").get(path() + "/readings.csv")))
                .as("somebody else sees what was signed, and nothing since")
                .contains(",10.25,mm,0.2,")
                .doesNotContain(",19,mm");
        assertThat(text(lead.get(path() + "/readings.csv"))).contains(",19,mm").doesNotContain(",10.25,");
    }

    /** The only tree of a survey, by its id. */
    private String readTree() throws IOException {
        String file = checked(HEADING + "Beck 1,55.03,-20.38,12,1,0,3.5,21.4,mature,wild,birches,,\n", 0);
        lead.put(file + "/stored", Map.of()).expect(200);
        ended(file, "stored");
        String plot = lead.get(path() + "/plots").expect(200).at("/0/id").asText();
        return lead.get(path() + "/plots/" + plot + "/trees")
                .expect(200)
                .at("/0/id")
                .asText();
    }

    private void read(String tree) {
        read(tree, Map.of("character", "dft", "values", List.of(9), "notSeen", false));
        List<Object> taken = List.of(Map.of("parts", List.of(4, 1)), Map.of());
        read(tree, Map.of("character", "ltf", "values", List.of(3, 2), "notSeen", false, "taken", taken));
        List<Object> off = List.of(Map.of("error", 0.2));
        read(tree, Map.of("character", "dft", "values", List.of(10.25), "notSeen", false, "taken", off));
        read(tree, Map.of("character", "twig-hairs", "notSeen", true));
    }

    private void read(String tree, Map<String, Object> reading) {
        lead.put(path() + "/trees/" + tree + "/readings/" + UUID.randomUUID(), reading)
                .expect(200);
    }

    private static String withoutDay(String row) {
        return row.replaceAll("\\d{4}-\\d\\d-\\d\\d", "DAY");
    }

    @Test
    void an_import_that_is_stopped_leaves_nothing_behind() {
        String file = checked(HEADING + manyTrees(20_000), 0);
        lead.put(file + "/stored", Map.of()).expect(200);

        lead.put(file + "/stopped", Map.of()).expect(200);

        assertThat(ended(file, "stopped").path("told").asText()).contains("Nothing");
        assertThat(lead.get(path() + "/plots").expect(200)).isEmpty();
        assertThat(jdbc.sql("select count(*) from audit_entry where survey_id = ? and tree_id is not null")
                        .param(survey)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void a_tree_that_was_recorded_meanwhile_keeps_all_of_the_file_out() {
        String file = checked(HEADING + "Beck 1,55.03,-20.38,12,1,0,3.5,21.4,mature,wild,birches,,\n", 0);
        lead.put(
                        path() + "/plots/" + UUID.randomUUID(),
                        Map.of("code", "Beck 1", "radiusMetres", 12, "habitat", List.of(), "notes", ""))
                .expect(200);
        JsonNode plots = lead.get(path() + "/plots").expect(200);
        lead.put(
                        path() + "/plots/" + plots.at("/0/id").asText() + "/trees/" + UUID.randomUUID(),
                        Map.of(
                                "tag",
                                1,
                                "azimuthDegrees",
                                1,
                                "distanceMetres",
                                1,
                                "diameterMillimetres",
                                100,
                                "stage",
                                "pole",
                                "origin",
                                "wild",
                                "conditionNotes",
                                "",
                                "plainTaxon",
                                "Quercus robur"))
                .expect(200);

        lead.put(file + "/stored", Map.of()).expect(200);

        assertThat(ended(file, "broken").path("told").asText()).contains("after it was checked");
        assertThat(lead.get(path() + "/plots/" + plots.at("/0/id").asText() + "/trees")
                        .expect(200))
                .hasSize(1);
    }

    @Test
    void a_file_whose_server_ended_is_told_as_failed_and_can_be_deleted() {
        String file = checked("plot,tag,azimuth,distance,diameter,group\nDied 1,1,10,3,140,birches\n", 0);
        UUID id = UUID.fromString(file.substring(file.lastIndexOf('/') + 1));
        jdbc.sql("update import_file set state = 'storing' where id = ?")
                .param(id)
                .update();
        lead.delete(file).expectProblem(409, "still-at-work");

        later(Duration.ofMinutes(3));

        JsonNode dead = lead.get(file).expect(200);
        assertThat(dead.path("state").asText()).isEqualTo("broken");
        assertThat(dead.path("told").asText()).contains("The server stopped", "Nothing was stored");
        lead.delete(file).expect(204);
        lead.get(file).expectProblem(404, "no-such-import");
    }

    private static String manyTrees(int count) {
        return IntStream.range(0, count)
                .mapToObj(i -> "Plot " + i / 40 + ",,,15," + (1 + i % 40) + "," + (i * 7 % 360) + "," + (1 + i % 13)
                        + ",20,mature,wild,birches,,\n")
                .collect(Collectors.joining());
    }

    /** The rows of a table without what it tells of determinations, which is not read back. */
    private static List<Map<String, String>> undetermined(String csv) throws IOException {
        List<Map<String, String>> rows = new ArrayList<>();
        try (CsvFile file = CsvFile.open(new ByteArrayInputStream(csv.getBytes(StandardCharsets.UTF_8)))) {
            for (Optional<FileRow> row = file.next(); row.isPresent(); row = file.next()) {
                Map<String, String> cells = new HashMap<>(row.get().cells());
                cells.keySet().removeAll(List.of("stands as", "determination", "determined by", "determined on"));
                rows.add(cells);
            }
        }
        return rows;
    }

    private static String text(Caller.Answer answer) {
        assertThat(answer.status()).isEqualTo(200);
        return answer.text();
    }
}
