package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.plot.GeoPosition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Surveys in and out of open formats. */
class SurveyFilesTest {
    private static final Determined OPEN = new Determined("open", null, null, null);
    private static final SurveyRecord TREE = new SurveyRecord(
            "Kettle Moss 07",
            55.0304,
            -20.3841,
            12.62,
            21.0,
            List.of("wet", "acid"),
            "=HYPERLINK(\"x\"), \"quoted\"",
            23,
            204.5,
            7.2,
            287,
            185,
            "mature",
            "wild",
            List.of("edge"),
            "-top gone,\nleans",
            "birches",
            null,
            null,
            new NotedVigour(
                    List.of(240, 180, 60), 2, "suppressed", "forked", List.of("browsed", "weather"), null, true));
    private static final SurveyRecord PLAIN = new SurveyRecord(
            "Kettle Moss 07",
            55.0304,
            -20.3841,
            12.62,
            21.0,
            List.of("wet", "acid"),
            "=HYPERLINK(\"x\"), \"quoted\"",
            24,
            0.0,
            0.1,
            9,
            null,
            "seedling",
            "unknown",
            null,
            "'=1",
            null,
            "Quercus robur",
            23,
            new NotedVigour(null, null, null, null, null, true, null));
    private static final SurveyRecord PLOT = new SurveyRecord(
            "Stony Rigg 01",
            null,
            null,
            15.0,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            null,
            NotedVigour.NONE);

    private static final WrittenReading READ = new WrittenReading(
            "a reading",
            "sallows",
            2,
            new WrittenReading.Named("leaf-ratio", "=Leaf length by width"),
            "",
            "Dipper",
            "2026-07-01",
            List.of(new WrittenReading.Look(null, 1.5, 0.02, List.of(27.0, 18.0))),
            "seen",
            "sure",
            null,
            null);

    @Test
    void readings_are_a_row_a_look_and_hide_formulas() throws IOException {
        StringBuilder text = new StringBuilder();
        try (ReadingsCsv csv = new ReadingsCsv(text)) {
            csv.write("=plot", 7, READ);
        }

        assertThat(text.toString().lines().skip(1))
                .containsExactly(
                        "'=plot,7,sallows,2,leaf-ratio,'=Leaf length by width,Dipper,2026-07-01,seen,1,,,1.5,,0.02,"
                                + "27,18,sure,,");
    }

    @Test
    void a_table_gives_back_what_was_written_and_hides_formulas() throws IOException {
        StringBuilder text = new StringBuilder();
        try (SurveyCsv csv = new SurveyCsv(text)) {
            csv.write(TREE, new Determined("taxon", "silver birch", "Dipper", "2026-09-14"));
            csv.write(PLAIN, OPEN);
            csv.write(PLOT, OPEN);
        }

        assertThat(text.toString())
                .contains("\"'=HYPERLINK(\"\"x\"\"), \"\"quoted\"\"\"")
                .contains("''=1");
        assertThat(read(CsvFile.open(bytes(text.toString(), StandardCharsets.UTF_8))))
                .containsExactly(TREE, PLAIN, PLOT);
    }

    @Test
    void a_map_gives_back_what_was_written_and_puts_trees_where_they_stand() throws IOException {
        ByteArrayOutputStream text = new ByteArrayOutputStream();
        try (SurveyGeoJson map = new SurveyGeoJson(text)) {
            map.writePlot(TREE);
            map.writeTree(TREE, OPEN, List.of(READ));
            map.writeTree(PLAIN, OPEN, List.of());
            map.writePlot(PLOT);
        }

        JsonNode tree =
                new ObjectMapper().readTree(text.toByteArray()).path("features").get(1);
        GeoPosition at = new GeoPosition(
                tree.at("/geometry/coordinates/1").asDouble(),
                tree.at("/geometry/coordinates/0").asDouble());
        assertThat(new GeoPosition(55.0304, -20.3841).distanceTo(at)).isBetween(7.19999, 7.20001);
        assertThat(tree.at("/properties/readings/0/looks/0/parts/1").asDouble()).isEqualTo(18);
        assertThat(tree.at("/properties/readings/0/looks/0/error").asDouble()).isEqualTo(0.02);
        List<SurveyRecord> back = read(GeoJsonFile.open(new ByteArrayInputStream(text.toByteArray())));
        assertThat(back).hasSize(4);
        assertThat(back.get(0).latitude()).isEqualTo(55.0304);
        assertThat(back.get(0).plotNotes()).isEqualTo(TREE.plotNotes());
        assertThat(back.get(1).condition()).isEqualTo(TREE.condition());
        assertThat(back.get(1).habitat()).isEqualTo(TREE.habitat());
        assertThat(back.get(2).cloneOf()).isEqualTo(23);
        assertThat(back.get(2).taxon()).isEqualTo("Quercus robur");
    }

    @Test
    void a_tree_that_is_only_a_point_is_measured_from_its_plot() throws IOException {
        GeoPosition at = new GeoPosition(55.03, -20.38).at(204, 7.2);
        String text =
                "{\"type\":\"FeatureCollection\",\"features\":[{\"type\":\"Feature\",\"geometry\":{\"type\":\"Point\","
                        + "\"coordinates\":[" + at.longitude() + "," + at.latitude()
                        + "]},\"properties\":{\"plot\":\"P\",\"lat\":55.03,"
                        + "\"lon\":-20.38,\"tag\":1,\"dbh mm\":100,\"taxon\":\"Quercus robur\"}}]}";

        SurveyRecord tree =
                read(GeoJsonFile.open(bytes(text, StandardCharsets.UTF_8))).get(0);

        assertThat(tree.azimuthDegrees()).isEqualTo(204.0);
        assertThat(tree.distanceMetres()).isEqualTo(7.2);
    }

    @ParameterizedTest
    @CsvSource({
        "Plot Code, PLOT, ''",
        "dbh_cm, DIAMETER, cm",
        "Diameter (mm), DIAMETER, mm",
        "Azimuth [gon], AZIMUTH, gon",
        "distance dm, DISTANCE, dm",
        "Lat., LATITUDE, ''",
        "height m, HEIGHT, m",
        "BHD [cm], DIAMETER, cm",
        "Azimut, AZIMUTH, ''",
        "Azimut (Grad), AZIMUTH, deg",
        "Entfernung, DISTANCE, ''",
        "diam., DIAMETER, ''",
        "Durchmesser in mm, DIAMETER, mm",
        "Diamètre (cm), DIAMETER, cm",
        "Höhe [m], HEIGHT, m",
        "Číslo stromu, TAG, ''",
        "Odległość (m), DISTANCE, m",
        "Probefläche, PLOT, ''",
        "espèce, TAXON, ''",
    })
    void a_heading_is_known_by_its_words_and_its_unit(String heading, SurveyField field, String unit) {
        assertThat(SurveyField.ofHeading(heading)).contains(field);
        assertThat(field.unitIn(heading).orElse("")).isEqualTo(unit);
    }

    @Test
    void semicolons_decimal_commas_a_byte_order_mark_and_other_units_are_read() throws IOException {
        String text = "\uFEFFplot;tag;azimuth gon;distance dm;dbh cm;h m;group\r\nP;3;100;45,5;12,3;18,5;Birches\r\n";

        SurveyRecord tree =
                read(CsvFile.open(bytes(text, StandardCharsets.UTF_8))).get(0);

        assertThat(tree.azimuthDegrees()).isEqualTo(90);
        assertThat(tree.distanceMetres()).isEqualTo(4.55);
        assertThat(tree.diameterMillimetres()).isEqualTo(123);
        assertThat(tree.heightDecimetres()).isEqualTo(185);
        assertThat(tree.group()).isEqualTo("birches");
    }

    @ParameterizedTest
    @CsvSource({"UTF-8, UTF_8", "UTF-16, UTF_16", "UTF-16LE, UTF_16", "windows-1252, WINDOWS_1252"})
    void the_encoding_of_a_table_is_told_and_its_words_are_read_in_it(String written, TextEncoding told)
            throws IOException {
        String mark = written.equals("UTF-16LE") ? "\uFEFF" : ""; // Java writes one for UTF-16 by itself
        String text = mark + "Probefläche;Baum;Azimut;Entfernung;BHD [cm]\r\nKörnbach 1;3;100;4,5;12,3\r\n";
        Charset charset = Charset.forName(written);

        TextEncoding encoding = TextEncoding.of(bytes(text, charset));
        SurveyRecord tree = read(CsvFile.open(bytes(text, charset), encoding)).get(0);

        assertThat(encoding).isEqualTo(told);
        assertThat(tree.plot()).isEqualTo("Körnbach 1");
        assertThat(tree.diameterMillimetres()).isEqualTo(123);
    }

    @Test
    void what_cannot_be_read_is_told_by_heading() throws IOException {
        CsvFile file =
                CsvFile.open(bytes("plot,tag,azimuth,distance,dbh mm\n,x,east,,12.5,7\n", StandardCharsets.UTF_8));
        Refusals refusals = new Refusals();

        reader(file.headings()).read(file.next().orElseThrow(), refusals);

        assertThatThrownBy(refusals::throwIfAny)
                .isInstanceOfSatisfying(
                        RefusedException.class,
                        refused -> assertThat(refused.refusals().stream().map(Refusal::key))
                                .containsExactly("", "plot", "tag", "azimuth", "dbh mm"));
    }

    @Test
    void a_cell_a_row_and_columns_that_nobody_can_mean_are_refused_and_long_notes_are_not() throws IOException {
        String note = "\"" + "a\nlong note, with \"\"quotes\"\". ".repeat(300) + "\"";
        assertThat(read(CsvFile.open(bytes("plot,tag,plot notes\nP,," + note + "\nQ,,\n", StandardCharsets.UTF_8))))
                .hasSize(2);
        String inches = "plot,plot notes\n" + "P,5\" wide\n".repeat(60_000); // a quote amid a cell is none
        assertThat(read(CsvFile.open(bytes(inches, StandardCharsets.UTF_8)))).hasSize(60_000);

        assertThatThrownBy(() -> read(
                        CsvFile.open(bytes("plot,plot notes\nP," + "x".repeat(20_000) + "\n", StandardCharsets.UTF_8))))
                .hasMessageContaining("row 2")
                .hasMessageContaining("letters");
        for (String endless : List.of("x".repeat(2_000_000), "\"" + "x\n".repeat(1_000_000))) {
            assertThatThrownBy(() -> read(CsvFile.open(bytes("plot,plot notes\nP," + endless, StandardCharsets.UTF_8))))
                    .hasMessageContaining("end of the row");
        }
        assertThatThrownBy(() -> CsvFile.open(bytes("a,".repeat(100_000), StandardCharsets.UTF_8)))
                .isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> CsvFile.open(bytes(
                        IntStream.range(0, 900).mapToObj(i -> "c" + i).collect(Collectors.joining(",")),
                        StandardCharsets.UTF_8)))
                .hasMessageContaining("900 columns");
    }

    @Test
    void a_map_has_texts_of_a_length_too_and_no_nul() {
        for (String text : List.of("x".repeat(20_000), "a\\u0000b")) {
            String map = "{\"type\":\"FeatureCollection\",\"features\":[{\"properties\":{\"plot\":\"" + text + "\"}}]}";
            assertThatThrownBy(() -> read(GeoJsonFile.open(bytes(map, StandardCharsets.UTF_8))))
                    .isInstanceOf(RefusedException.class);
        }
    }

    @Test
    void another_encoding_open_quotes_and_no_heading_are_refused_with_their_place() {
        Charset old = StandardCharsets.ISO_8859_1;
        assertThatThrownBy(() -> read(CsvFile.open(bytes("plot,tag\nBäck,1\n", old))))
                .hasMessageContaining("UTF-8")
                .hasMessageContaining("row");
        assertThatThrownBy(() -> read(CsvFile.open(bytes("a,bc\n", StandardCharsets.UTF_8), TextEncoding.UTF_16)))
                .hasMessageContaining("UTF-16");
        assertThatThrownBy(() -> read(CsvFile.open(bytes("plot,tag\n\"Beck,1\n", StandardCharsets.UTF_8))))
                .hasMessageContaining("quotes");
        assertThatThrownBy(() -> CsvFile.open(bytes("", StandardCharsets.UTF_8)))
                .hasMessageContaining("no heading");
        assertThatThrownBy(() -> CsvFile.open(bytes("a,a\n", StandardCharsets.UTF_8)))
                .hasMessageContaining("twice");
        assertThatThrownBy(() -> GeoJsonFile.open(bytes("{\"type\":\"Point\"}", StandardCharsets.UTF_8)))
                .hasMessageContaining("feature collection");
        assertThatThrownBy(() -> read(GeoJsonFile.open(bytes("{\"features\":[{\"a\":", StandardCharsets.UTF_8))))
                .hasMessageContaining("line 1");
    }

    private static ByteArrayInputStream bytes(String text, Charset charset) {
        return new ByteArrayInputStream(text.getBytes(charset));
    }

    private static SurveyRecordReader reader(Iterable<String> headings) {
        Map<SurveyField, SurveyRecordReader.Column> columns = new EnumMap<>(SurveyField.class);
        for (String heading : headings) {
            SurveyField.ofHeading(heading)
                    .ifPresent(field -> columns.put(
                            field,
                            new SurveyRecordReader.Column(
                                    heading, field.unitIn(heading).orElse(""))));
        }
        return new SurveyRecordReader(columns);
    }

    private static List<SurveyRecord> read(RowFile file) throws IOException {
        try (file) {
            List<FileRow> rows = new ArrayList<>();
            for (Optional<FileRow> row = file.next(); row.isPresent(); row = file.next()) {
                rows.add(row.get());
            }
            SurveyRecordReader reader = reader(file.headings());
            Refusals refusals = new Refusals();
            List<SurveyRecord> records =
                    rows.stream().map(row -> reader.read(row, refusals)).toList();
            refusals.throwIfAny();
            return records;
        }
    }
}
