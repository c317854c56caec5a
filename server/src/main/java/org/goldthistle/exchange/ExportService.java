package org.goldthistle.exchange;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.sql.Array;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.UUID;
import org.goldthistle.formats.Determined;
import org.goldthistle.formats.SurveyCsv;
import org.goldthistle.formats.SurveyGeoJson;
import org.goldthistle.formats.SurveyRecord;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Writes a survey out row by row, so that its size is of no matter, as far as who asks may see it. */
@Service
class ExportService {
    private static final int FETCHED_AT_ONCE = 1000;
    private static final String ROWS = "select p.code, p.latitude, p.longitude, p.radius_metres, p.altitude_metres,"
            + " p.habitat plot_habitat, p.notes, t.*, " + SurveyedTree.SHOWN.replace(":observer", "?")
            + " seen, b.tag bearer_tag, d.call_sign, d.day from plot p"
            + " left join tree t on t.plot_id = p.id left join tree b on b.id = t.clone_of"
            + " left join lateral (select o.call_sign, to_char(signed_at at time zone 'UTC', 'YYYY-MM-DD') as day"
            + " from determination join observer o on o.id = observer_id where tree_id = t.id"
            + " order by entry_order desc limit 1) d on true"
            + " where p.survey_id = ? order by p.code, t.tag";

    private static final String OPEN = "select t.id from tree t join plot p on p.id = t.plot_id where p.survey_id = ?"
            + " and " + SurveyedTree.SHOWN.replace(":observer", "?");

    private final SurveyService surveys;
    private final Sights sights;
    private final JdbcTemplate jdbc;
    private final TransactionTemplate reading;

    ExportService(SurveyService surveys, Sights sights, JdbcTemplate jdbc, PlatformTransactionManager transactions) {
        this.surveys = surveys;
        this.sights = sights;
        this.jdbc = jdbc;
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
    }

    /**
     * What a survey's files are called, such as "Kettle Moss round 2026".
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     */
    String nameFor(UUID surveyId, UUID observerId) {
        return surveys.nameFor(surveyId, observerId);
    }

    /** Writes the survey as a table. */
    void writeCsv(UUID surveyId, UUID observerId, OutputStream to) throws IOException {
        Writer text = new BufferedWriter(new OutputStreamWriter(to, StandardCharsets.UTF_8));
        try (SurveyCsv csv = new SurveyCsv(text)) {
            rows(surveyId, observerId, row -> csv.write(record(row), determined(row)));
        }
    }

    /** Writes the survey as a map. */
    void writeGeoJson(UUID surveyId, UUID observerId, OutputStream to) throws IOException {
        String[] lastPlot = {null};
        try (SurveyGeoJson map = new SurveyGeoJson(to)) {
            rows(surveyId, observerId, row -> {
                SurveyRecord record = record(row);
                if (!record.plot().equals(lastPlot[0])) {
                    map.writePlot(record);
                    lastPlot[0] = record.plot();
                }
                if (record.tag() != null) {
                    map.writeTree(record, determined(row));
                }
            });
        }
    }

    private void rows(UUID surveyId, UUID observerId, RowWriter writer) {
        List<UUID> open = jdbc.queryForList(OPEN, UUID.class, surveyId, observerId);
        sights.shown(observerId, Scope.EXPORT, open); // before the first row leaves, since it may be broken off
        reading.executeWithoutResult(begun -> read(surveyId, observerId, writer));
    }

    private void read(UUID surveyId, UUID observerId, RowWriter writer) {
        jdbc.query(
                (Connection connection) -> {
                    PreparedStatement statement = connection.prepareStatement(ROWS);
                    statement.setFetchSize(FETCHED_AT_ONCE);
                    statement.setObject(1, observerId);
                    statement.setObject(2, surveyId);
                    return statement;
                },
                row -> {
                    try {
                        writer.write(row);
                    } catch (IOException hungUp) {
                        throw new UncheckedIOException(hungUp);
                    }
                });
    }

    private static SurveyRecord record(ResultSet row) throws SQLException {
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
                row.getObject("bearer_tag", Integer.class));
    }

    private static Determined determined(ResultSet row) throws SQLException {
        if (!row.getBoolean("seen")) {
            return new Determined("review", null, null, null); // who exports it is still to read it blind
        }
        return new Determined(
                row.getString("stands_as"),
                row.getString("stands_name"),
                row.getString("call_sign"),
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

    /** Writes one row; what it writes to may break. */
    private interface RowWriter {
        void write(ResultSet row) throws IOException, SQLException;
    }
}
