package org.goldthistle.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.Caller;
import org.junit.jupiter.api.Test;

/** What is told of a file before anything of it is stored. */
class ImportCheckTest extends ImportedSurvey {
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

    @Test
    void every_problem_is_told_by_row_and_heading_and_nothing_is_stored() {
        String file = checked(
                HEADING + "Beck 1,55.03,-20.38,12,1,400,3.5,21.4,mature,wild,birches,,\n"
                        + "Beck 1,,,,2,90,14,9,pole,,birches,,\n"
                        + "Beck 1,,,,2,90,4,9,pole,,birches,,\n"
                        + "Beck 1,,,,3,90,4,many,pole,,birches,,\n"
                        + "Beck 1,,,,4,90,4,9,pole,,palms,,\n"
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

    private static JsonNode withUnit(JsonNode columns, String unit, boolean sure) {
        JsonNode changed = columns.deepCopy();
        for (JsonNode one : changed) {
            if (one.path("field").asText().equals("diameter")) {
                ((ObjectNode) one).put("unit", unit).put("sure", sure);
            }
        }
        return changed;
    }
}
