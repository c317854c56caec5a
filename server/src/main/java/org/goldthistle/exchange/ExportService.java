package org.goldthistle.exchange;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.goldthistle.formats.DeterminationsCsv;
import org.goldthistle.formats.Determined;
import org.goldthistle.formats.NotedVigour;
import org.goldthistle.formats.ReadingsCsv;
import org.goldthistle.formats.SurveyCsv;
import org.goldthistle.formats.SurveyGeoJson;
import org.goldthistle.formats.SurveyRecord;
import org.goldthistle.formats.WrittenReading;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.VigourBody;
import org.springframework.stereotype.Service;

/**
 * Writes a survey out row by row, so that its size is of no matter, as far as who asks may see it. A file is closed only when
 * it is whole: what breaks on the way is seen to be broken.
 */
@Service
class ExportService {
    private static final String SELECTED = "select p.code, p.latitude, p.longitude, p.radius_metres, p.altitude_metres,"
            + " p.habitat plot_habitat, p.notes, t.*, " + SurveyRows.SHOWN
            + " seen, b.tag bearer_tag, d.call_sign, d.day";
    private static final String JOINED = " from plot p"
            + " left join tree t on t.plot_id = p.id left join tree b on b.id = t.clone_of"
            + " left join lateral (select o.call_sign, to_char(signed_at at time zone 'UTC', 'YYYY-MM-DD') as day"
            + " from determination join observer o on o.id = observer_id where tree_id = t.id"
            + " order by entry_order desc limit 1) d on true";
    private static final String IN_ORDER = " where p.survey_id = ? order by p.code, t.tag";
    private static final String ROWS = SELECTED + JOINED + IN_ORDER;
    private static final String ROWS_WITH_READINGS =
            SELECTED + ", q.readings" + JOINED + ReadingsOfTree.JOIN + IN_ORDER;

    private final SurveyService surveys;
    private final ReadingsOfTree readings;
    private final SignaturesOfSurvey signatures;
    private final SurveyRows rows;
    private final ExchangeRules rules;
    private final KeptJson json;
    private final Clock clock;

    ExportService(
            SurveyService surveys,
            ReadingsOfTree readings,
            SignaturesOfSurvey signatures,
            SurveyRows rows,
            ExchangeRules rules,
            KeptJson json,
            Clock clock) {
        this.surveys = surveys;
        this.readings = readings;
        this.signatures = signatures;
        this.rows = rows;
        this.rules = rules;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What a survey's files of today are called, such as "Kettle Moss round 2026, 2026-09-14".
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     */
    String nameFor(UUID surveyId, UUID observerId) {
        return surveys.nameFor(surveyId, observerId) + ", " + LocalDate.now(clock);
    }

    /** Writes the survey as a table. */
    void writeCsv(UUID surveyId, UUID observerId, OutputStream to) throws IOException {
        Writer text = new BufferedWriter(new OutputStreamWriter(to, StandardCharsets.UTF_8));
        UnaryOperator<String> called = called(surveyId, observerId);
        SurveyCsv csv = new SurveyCsv(text);
        rows(ROWS, surveyId, observerId, row -> csv.write(record(row), determined(row, called)));
        csv.close();
    }

    /** Writes what was read on its trees as a table. */
    void writeReadings(UUID surveyId, UUID observerId, OutputStream to) throws IOException {
        Writer text = new BufferedWriter(new OutputStreamWriter(to, StandardCharsets.UTF_8));
        UnaryOperator<String> called = called(surveyId, observerId);
        ReadingsCsv csv = new ReadingsCsv(text);
        rows(ROWS_WITH_READINGS, surveyId, observerId, row -> {
            for (WrittenReading reading : readings.written(row.getString("readings"), called)) {
                csv.write(row.getString("code"), row.getInt("tag"), reading);
            }
        });
        csv.close();
    }

    /** Writes what was signed of its trees as a table. */
    void writeDeterminations(UUID surveyId, UUID observerId, OutputStream to) throws IOException {
        Writer text = new BufferedWriter(new OutputStreamWriter(to, StandardCharsets.UTF_8));
        UnaryOperator<String> called = called(surveyId, observerId);
        DeterminationsCsv csv = new DeterminationsCsv(text);
        rows(SignaturesOfSurvey.QUERY, surveyId, observerId, row -> csv.write(signatures.written(row, called)));
        csv.close();
    }

    /** Writes the survey as a map: plots, trees, or both. */
    void writeGeoJson(UUID surveyId, UUID observerId, Layer layer, OutputStream to) throws IOException {
        String[] lastPlot = {null};
        UnaryOperator<String> called = called(surveyId, observerId);
        SurveyGeoJson map = new SurveyGeoJson(to);
        rows(ROWS_WITH_READINGS, surveyId, observerId, row -> {
            SurveyRecord record = record(row);
            if (layer != Layer.TREES && !record.plot().equals(lastPlot[0])) {
                map.writePlot(record);
                lastPlot[0] = record.plot();
            }
            if (layer != Layer.PLOTS && record.tag() != null) {
                map.writeTree(record, determined(row, called), readings.written(row.getString("readings"), called));
            }
        });
        map.close();
    }

    private void rows(String query, UUID surveyId, UUID observerId, SurveyRows.RowWriter writer) {
        rows.note(surveyId, observerId);
        rows.read(query, surveyId, observerId, writer);
    }

    private UnaryOperator<String> called(UUID surveyId, UUID observerId) {
        return rules.of(surveyId, observerId).observersCalled();
    }

    private SurveyRecord record(ResultSet row) throws SQLException {
        return new SurveyRecord(
                row.getString("code"),
                row.getObject("latitude", Double.class),
                row.getObject("longitude", Double.class),
                row.getDouble("radius_metres"),
                row.getObject("altitude_metres", Double.class),
                words(row.getArray("plot_habitat")),
                empty(row.getString("notes")),
                row.getObject("tag", Integer.class),
                row.getObject("azimuth_degrees", Double.class),
                row.getObject("distance_metres", Double.class),
                row.getObject("diameter_millimetres", Integer.class),
                row.getObject("height_decimetres", Integer.class),
                row.getString("stage"),
                row.getString("origin"),
                words(row.getArray("habitat")),
                empty(row.getString("condition_notes")),
                row.getString("group_id"),
                row.getString("plain_taxon"),
                row.getObject("bearer_tag", Integer.class),
                vigour(row));
    }

    private NotedVigour vigour(ResultSet row) throws SQLException {
        VigourBody noted = json.read(row.getString("vigour"), VigourBody.class);
        Boolean favoured = row.getBoolean("favoured") ? true : null;
        return noted == null
                ? new NotedVigour(null, null, null, null, null, null, favoured)
                : new NotedVigour(
                        noted.leaders(),
                        noted.dieback(),
                        noted.crown(),
                        noted.form(),
                        noted.damages(),
                        noted.dead() ? true : null,
                        favoured);
    }

    private static Determined determined(ResultSet row, UnaryOperator<String> called) throws SQLException {
        if (!row.getBoolean("seen")) {
            return new Determined("review", null, null, null); // who exports it is still to read it blind
        }
        return new Determined(
                row.getString("stands_as"),
                row.getString("stands_name"),
                called.apply(row.getString("call_sign")),
                row.getString("day"));
    }

    private static List<String> words(Array array) throws SQLException {
        if (array == null) {
            return null;
        }
        String[] words = (String[]) array.getArray();
        return words.length == 0 ? null : List.of(words);
    }

    private static String empty(String text) {
        return text == null || text.isEmpty() ? null : text;
    }
}
