package org.goldthistle.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.Charset;
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
import org.goldthistle.ServerTest;
import org.goldthistle.formats.CsvFile;
import org.goldthistle.formats.FileRow;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Surveys in and out as files; each test has a survey of its own. */
class ExchangeTest extends ServerTest {
    private static final String HEADING =
            "plot,lat,lon,radius m,tag,azimuth,distance,dbh cm,stage,origin,group,taxon,clone of\n";

    private final UUID survey = UUID.randomUUID();
    private Caller lead;

    @BeforeEach
    void an_empty_survey() {
        lead = signedIn("Treecreeper");
        newSurvey(survey);
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
    void a_table_of_another_language_in_an_old_encoding_is_read_as_it_is_meant() {
        String table =
                "Probefläche;Baum;Azimut;Entfernung [m];BHD [cm];Gruppe\r\nKörnbach 1;1;204;7,2;28,7;birches\r\n";
        JsonNode sent =
                sendBytes(table.getBytes(Charset.forName("windows-1252"))).expect(200);
        String file = path() + "/imports/" + sent.path("id").asText();

        assertThat(sent.path("encoding").asText()).isEqualTo("Windows-1252");
        assertThat(sent.at("/sample/0/0").asText()).isEqualTo("Körnbach 1");
        assertThat(sent.path("columns").findValuesAsText("field"))
                .containsExactly("plot", "tag", "azimuth", "distance", "diameter", "group");
        lead.put(file + "/encoding", Map.of("encoding", "UTF-8")).expectProblem(422, "unreadable-file");
        lead.put(file + "/encoding", Map.of("encoding", "Morse")).expectProblem(422, "no-such-encoding");
        assertThat(lead.get(file).expect(200).path("encoding").asText()).isEqualTo("Windows-1252");
        lead.put(file + "/columns", Map.of("columns", sent.path("columns"))).expect(200);
        ended(file, "checked");
        lead.put(file + "/stored", Map.of()).expect(200);
        ended(file, "stored");

        assertThat(lead.get(path() + "/plots").expect(200).at("/0/code").asText())
                .isEqualTo("Körnbach 1");
    }

    @Test
    void diameters_that_cannot_be_in_their_unit_are_one_question_and_not_a_problem_each() {
        StringBuilder rows = new StringBuilder(HEADING);
        for (int i = 1; i <= 50; i++) {
            rows.append("Beck 1,,,15,")
                    .append(i)
                    .append(",0,3.5,")
                    .append(200 + i)
                    .append(",mature,wild,birches,,\n");
        }

        String file = checked(rows.toString(), 1); // millimetres under a heading of centimetres
        JsonNode asked = lead.get(file).expect(200);
        assertThat(asked.path("oddMedian").asInt()).isEqualTo(2250);
        assertThat(asked.at("/problems/0/heading").asText()).isEqualTo("dbh cm");

        lead.put(file + "/columns", Map.of("columns", withUnit(asked.path("columns"), "mm", false)))
                .expect(200);
        JsonNode mended = ended(file, "checked");
        assertThat(mended.path("problemCount").asInt()).isZero();
        assertThat(mended.has("oddMedian")).isFalse();
        lead.put(file + "/columns", Map.of("columns", withUnit(asked.path("columns"), "cm", true)))
                .expect(200);
        assertThat(ended(file, "checked").path("oddMedian").isMissingNode())
                .isTrue(); // whoever is sure is not asked again
    }

    @Test
    void what_is_wrong_is_told_by_the_file_s_own_headings_and_cells_once_for_each_cell() {
        String file = checked(
                "Probekreis;Baum Nr.;Azimut;Entfernung;BHD [cm];Gruppe\nBeck;1;365;3;20;birches\nBeck;1;4;3;nan;birches\n"
                        + ";3;4;3;20;birches\nBeck;4;4;30;20;birches\n",
                5);

        List<String> told = new ArrayList<>();
        for (JsonNode one : lead.get(file).expect(200).path("problems")) {
            told.add(one.path("place").asInt() + " " + one.path("heading").asText() + ": "
                    + one.path("problem").asText());
        }
        assertThat(told)
                .containsExactly(
                        "2 Azimut: 365 deg: it must be degrees from 0 to below 360",
                        "3 BHD [cm]: nan: it must be a number",
                        "3 Baum Nr.: tree 1 stands in row 2 already: each tag once in a plot",
                        "4 Probekreis: empty; it must be the code of a plot",
                        "5 Entfernung: 30 m: it must be within the plot, whose radius is 15 m");
    }

    private static JsonNode withUnit(JsonNode columns, String unit, boolean sure) {
        JsonNode changed = columns.deepCopy();
        for (JsonNode one : changed) {
            if (one.path("field").asText().equals("diameter")) {
                ((ObjectNode) one).put("unit", unit).put("sure", sure);
            }
        }
        return changed;
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
    void every_problem_is_told_by_row_and_heading_and_nothing_is_stored() {
        String file = checked(
                HEADING + "Beck 1,55.03,-20.38,12,1,400,3.5,21.4,mature,wild,birches,,\n"
                        + "Beck 1,,,,2,90,14,9,pole,,birches,,\n"
                        + "Beck 1,,,,2,90,4,9,pole,,birches,,\n"
                        + "Beck 1,,,,3,90,4,many,pole,,birches,,\n"
                        + "Beck 1,,,,4,90,4,9,pole,,oaks,,\n"
                        + "Beck 1,,,,5,90,4,9,pole,,birches,,77\n"
                        + "Sea 1,55.03,-21.9,12,,,,,,,,,\n"
                        + ",,,,6,90,4,9,pole,,birches,,\n",
                8);

        JsonNode problems = lead.get(file).expect(200).path("problems");
        List<String> places = new ArrayList<>();
        problems.forEach(one ->
                places.add(one.path("place").asInt() + " " + one.path("heading").asText()));
        assertThat(places)
                .containsExactly(
                        "2 azimuth", "3 distance", "4 tag", "5 dbh cm", "6 group", "7 clone of", "8 lat", "9 plot");
        lead.put(file + "/stored", Map.of()).expectProblem(409, "not-checked");
        assertThat(lead.get(path() + "/plots").expect(200)).isEmpty();
    }

    @Test
    void a_plot_that_is_there_already_gains_trees_and_is_not_described_anew() {
        String heading = "plot,lat,lon,radius m,plot notes,tag,azimuth,distance,dbh mm,taxon\n";
        String first = checked(heading + "Beck 1,55.03,-20.38,12,by the ford,1,0,3.5,90,Quercus robur\n", 0);
        lead.put(first + "/stored", Map.of()).expect(200);
        ended(first, "stored");

        checked(heading + "Beck 1,55.03,-20.38,12,by the ford,2,0,3.5,90,Quercus robur\n", 0);
        checked(heading + "Beck 1,,,12,,3,0,3.5,90,Quercus robur\n", 0);
        checked(heading + "Beck 1,,,,by the mill,4,0,3.5,90,Quercus robur\n", 1);
        checked(heading + "Beck 1,55.031,-20.38,,,5,0,3.5,90,Quercus robur\n", 1);
        checked(heading + "Beck 1,,,,,6,0,13.5,90,Quercus robur\n", 1); // beyond the radius that it has
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
    void what_is_no_table_and_no_map_is_refused() {
        sendBytes(new byte[] {'p', 'l', 'o', 't', '\n', (byte) 0x81, '\n'}) // no character in any encoding that we read
                .expectProblem(422, "unreadable-file");
        sendBytes(new byte[0]).expectProblem(422, "unreadable-file");
        sendBytes("{\"type\":\"Nothing\"}".getBytes(StandardCharsets.UTF_8)).expectProblem(422, "unreadable-file");
        Caller.Answer sent = sendBytes("tag,azimuth\n1,2\n".getBytes(StandardCharsets.UTF_8));
        String file = path() + "/imports/" + sent.expect(200).path("id").asText();
        lead.put(file + "/columns", Map.of("columns", sent.body().path("columns")))
                .expectProblem(422, "no-plot-column");
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

    private String checked(String content, int problems) {
        JsonNode sent = sendBytes(content.getBytes(StandardCharsets.UTF_8)).expect(200);
        String file = path() + "/imports/" + sent.path("id").asText();
        lead.put(file + "/columns", Map.of("columns", sent.path("columns"))).expect(200);
        JsonNode checked = ended(file, "checked");
        assertThat(checked.path("problemCount").asInt())
                .as("problems %s", checked.path("problems"))
                .isEqualTo(problems);
        return file;
    }

    @Test
    void what_columns_hold_is_one_of_what_is_known_and_a_stored_file_stays_as_it_is() {
        String file = checked(HEADING + "Beck 1,55.03,-20.38,12,1,0,3.5,21.4,mature,wild,birches,,\n", 0);
        lead.put(file + "/columns", columns("no field", null)).expectProblem(422, "no-such-field");
        lead.put(file + "/columns", columns("diameter", "ells")).expectProblem(422, "no-such-unit");
        String again = checked(HEADING + "Beck 1,55.03,-20.38,12,1,0,3.5,21.4,mature,wild,birches,,\n", 0);

        lead.put(file + "/stored", Map.of()).expect(200);
        ended(file, "stored");
        lead.put(again + "/stored", Map.of()).expect(200);

        lead.put(file + "/columns", columns("tag", null)).expectProblem(409, "is-stored");
        assertThat(ended(again, "broken").path("told").asText())
                .contains("after it was checked"); // the problem overtaken
    }

    private static Map<String, Object> columns(String field, String unit) {
        Map<String, Object> column = new HashMap<>(Map.of("heading", "tag", "field", field));
        if (unit != null) {
            column.put("unit", unit);
        }
        return Map.of("columns", List.of(Map.of("heading", "plot", "field", "plot"), column));
    }

    private Caller.Answer sendBytes(byte[] content) {
        return lead.putBytes(path() + "/imports/" + UUID.randomUUID() + "?name=trees", content);
    }

    private JsonNode ended(String file, String state) {
        JsonNode ended = await().atMost(Duration.ofSeconds(60))
                .until(
                        () -> lead.get(file).expect(200),
                        now -> !now.path("state").asText().endsWith("ing"));
        assertThat(ended.path("state").asText()).as(ended.path("told").asText()).isEqualTo(state);
        return ended;
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

    private String path() {
        return "/api/surveys/" + survey;
    }

    private void newSurvey(UUID id) {
        for (JsonNode one : lead.get("/api/surveys").expect(200)) {
            if (one.path("id").asText().equals(demoId("survey Tarnholt").toString())) {
                ObjectNode settings = one.deepCopy();
                settings.remove(List.of("id", "closedAt", "version"));
                lead.put("/api/surveys/" + id, settings.put("name", "Exchange " + id))
                        .expect(200);
            }
        }
    }
}
