package org.goldthistle.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.FileRow;
import org.goldthistle.formats.RowFile;
import org.goldthistle.formats.SurveyField;
import org.goldthistle.formats.SurveyRecord;
import org.goldthistle.formats.SurveyRecordReader;
import org.goldthistle.survey.PlotBody;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.TreeBody;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Reads a file row by row into the database's own keeping, and finds everything that cannot be taken over. */
@Component
class ImportCheck {
    private static final int BATCH = 2000; // rows that are held at once

    /** The share of the work that reading is; the rest is asking the database. */
    private static final double READING = 0.85;

    private final KeptFile files;
    private final ImportProgress progress;
    private final SurveyService surveys;
    private final JdbcClient jdbc;
    private final JdbcTemplate template;
    private final TransactionTemplate inTransaction;
    private final ObjectMapper json;

    ImportCheck(
            KeptFile files,
            ImportProgress progress,
            SurveyService surveys,
            JdbcClient jdbc,
            JdbcTemplate template,
            TransactionTemplate inTransaction,
            ObjectMapper json) {
        this.files = files;
        this.progress = progress;
        this.surveys = surveys;
        this.jdbc = jdbc;
        this.template = template;
        this.inTransaction = inTransaction;
        this.json = json;
    }

    /** @throws RefusedException if the file cannot be read to its end */
    void run(UUID importId) throws IOException {
        forgetEarlier(importId);
        Map<String, Object> file = jdbc.sql(
                        "select survey_id, format, size_bytes, mapping::text mapping from import_file"
                                + " where id = ?")
                .param(importId)
                .query()
                .singleRow();
        UUID surveyId = (UUID) file.get("survey_id");
        SurveyRecordReader reader = reader((String) file.get("mapping"));
        ImportRules rules = new ImportRules(surveys.limitsOf(surveyId), surveys.groupsOf(surveyId));
        double size = Math.max(1, (long) file.get("size_bytes"));
        AtomicLong fetched = new AtomicLong();
        long rows = 0;
        try (RowFile content = files.rows(importId, (String) file.get("format"), fetched::set)) {
            List<Object[]> good = new ArrayList<>();
            List<Object[]> bad = new ArrayList<>();
            for (Optional<FileRow> row = content.next(); row.isPresent(); row = content.next()) {
                sort(importId, row.get(), reader, rules, good, bad);
                if (++rows % BATCH == 0) {
                    put(good, bad);
                    progress.note(importId, rows, READING * fetched.get() / size);
                }
            }
            put(good, bad);
        }
        progress.note(importId, rows, READING);
        inTransaction.executeWithoutResult(status -> askTheDatabase(importId, surveyId));
        progress.note(importId, rows, 1);
    }

    private void forgetEarlier(UUID importId) {
        inTransaction.executeWithoutResult(status -> {
            jdbc.sql("delete from import_row where import_id = ?")
                    .param(importId)
                    .update();
            jdbc.sql("delete from import_problem where import_id = ?")
                    .param(importId)
                    .update();
            jdbc.sql("update import_file set problem_count = 0, plots_new = 0, trees_new = 0 where id = ?")
                    .param(importId)
                    .update();
        });
    }

    private SurveyRecordReader reader(String mapping) throws JsonProcessingException {
        Map<SurveyField, SurveyRecordReader.Column> columns = new EnumMap<>(SurveyField.class);
        for (ColumnDto column : json.readValue(mapping, new TypeReference<List<ColumnDto>>() {})) {
            columns.put(
                    ImportWorker.field(column),
                    new SurveyRecordReader.Column(column.heading(), column.unit() == null ? "" : column.unit()));
        }
        return new SurveyRecordReader(columns);
    }

    private void sort(
            UUID importId,
            FileRow row,
            SurveyRecordReader reader,
            ImportRules rules,
            List<Object[]> good,
            List<Object[]> bad)
            throws JsonProcessingException {
        Refusals ofPlot = new Refusals();
        Refusals ofTree = new Refusals();
        SurveyRecord read = reader.read(row, ofTree);
        PlotBody plot = rules.plot(read, ofPlot);
        TreeBody tree = rules.tree(read, ofTree);
        if (!read.plot().isBlank()) {
            // a row with a problem is kept too, since others are held against what it says of the plot and its tag
            good.add(new Object[] {
                importId,
                row.place(),
                read.plot().strip(),
                plot == null || !ofPlot.isEmpty() ? null : json.writeValueAsString(ToldPlot.of(read)),
                read.tag(),
                tree == null || !ofTree.isEmpty()
                        ? null
                        : json.writeValueAsString(new ImportedTree(tree, read.cloneOf()))
            });
        }
        note(importId, row.place(), ofPlot, bad);
        note(importId, row.place(), ofTree, bad);
    }

    private static void note(UUID importId, long place, Refusals refusals, List<Object[]> bad) {
        try {
            refusals.throwIfAny();
        } catch (RefusedException refused) {
            for (Refusal one : refused.refusals()) {
                bad.add(new Object[] {importId, place, one.key(), one.found() + ": it must be " + one.expected()});
            }
        }
    }

    /** What a row says of its plot; what it does not say is null. */
    record ToldPlot(
            Double latitude,
            Double longitude,
            Double radiusMetres,
            Double altitudeMetres,
            List<String> habitat,
            String notes) {
        static ToldPlot of(SurveyRecord row) {
            return new ToldPlot(
                    row.latitude(),
                    row.longitude(),
                    row.radiusMetres(),
                    row.altitudeMetres(),
                    row.plotHabitat(),
                    row.plotNotes());
        }
    }

    /** A tree as it waits to be stored, with the tag of the stem that bears its call. */
    record ImportedTree(TreeBody body, Integer cloneOfTag) {}

    private void put(List<Object[]> good, List<Object[]> bad) {
        inTransaction.executeWithoutResult(status -> {
            template.batchUpdate(
                    "insert into import_row (import_id, place, plot_code, plot, tag, tree)"
                            + " values (?, ?, ?, ?::jsonb, ?, ?::jsonb)",
                    good);
            template.batchUpdate("insert into import_problem values (?, ?, ?, ?)", bad);
        });
        good.clear();
        bad.clear();
    }

    /** What rows must hold together, and beside what is stored already. */
    private void askTheDatabase(UUID importId, UUID surveyId) {
        jdbc.sql("analyze import_row").update();
        for (String question : ImportQuestions.ALL) {
            jdbc.sql("insert into import_problem select :import, found.* from (" + question + ") found")
                    .param("import", importId)
                    .param("survey", surveyId)
                    .update();
        }
        jdbc.sql(
                        "update import_file set problem_count = (select count(*) from import_problem where import_id = :import),"
                                + " trees_new = (select count(*) from import_row where import_id = :import and tag is not null),"
                                + " plots_new = (select count(distinct r.plot_code) from import_row r where r.import_id = :import"
                                + " and not exists (select 1 from plot p where p.survey_id = :survey and p.code = r.plot_code))"
                                + " where id = :import")
                .param("import", importId)
                .param("survey", surveyId)
                .update();
    }
}
