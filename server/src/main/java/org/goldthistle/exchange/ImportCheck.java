package org.goldthistle.exchange;

import com.fasterxml.jackson.core.type.TypeReference;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.FileRow;
import org.goldthistle.formats.RowFile;
import org.goldthistle.formats.SurveyField;
import org.goldthistle.formats.SurveyRecord;
import org.goldthistle.formats.SurveyRecordReader;
import org.goldthistle.formats.TextEncoding;
import org.goldthistle.platform.KeptJson;
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
    private final KeptJson json;

    ImportCheck(
            KeptFile files,
            ImportProgress progress,
            SurveyService surveys,
            JdbcClient jdbc,
            JdbcTemplate template,
            TransactionTemplate inTransaction,
            KeptJson json) {
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
                        "select survey_id, format, encoding, size_bytes, mapping::text mapping from import_file"
                                + " where id = ?")
                .param(importId)
                .query()
                .singleRow();
        UUID surveyId = (UUID) file.get("survey_id");
        TextEncoding encoding =
                Coded.find(TextEncoding.values(), (String) file.get("encoding")).orElseThrow();
        List<ColumnDto> columns = json.read((String) file.get("mapping"), new TypeReference<List<ColumnDto>>() {});
        SurveyRecordReader reader = reader(columns);
        ImportProblems problems = new ImportProblems(importId, reader);
        Diameters diameters = new Diameters();
        ImportRules rules = new ImportRules(surveys.limitsOf(surveyId), surveys.groupsOf(surveyId));
        double size = Math.max(1, (long) file.get("size_bytes"));
        AtomicLong fetched = new AtomicLong();
        long rows = 0;
        try (RowFile content = files.rows(
                importId,
                Coded.find(FileFormat.values(), (String) file.get("format")).orElseThrow(),
                encoding,
                fetched::set)) {
            List<Object[]> good = new ArrayList<>();
            for (Optional<FileRow> row = content.next(); row.isPresent(); row = content.next()) {
                SurveyRecord read = sort(importId, row.get(), reader, rules, good, problems);
                if (read.diameterMillimetres() != null) {
                    diameters.add(read.diameterMillimetres());
                }
                if (++rows % BATCH == 0) {
                    put(good, problems.taken());
                    progress.note(importId, rows, READING * fetched.get() / size);
                }
            }
            put(good, problems.taken());
        }
        progress.note(importId, rows, READING);
        boolean isSure = columns.stream()
                .anyMatch(one -> ImportWorker.field(one) == SurveyField.DIAMETER && Boolean.TRUE.equals(one.sure()));
        OptionalInt oddMedian = isSure ? OptionalInt.empty() : diameters.oddMedian();
        inTransaction.executeWithoutResult(status -> {
            askTheDatabase(importId, surveyId, problems);
            oddMedian.ifPresent(median -> askForTheUnit(importId, median, problems));
            count(importId, surveyId);
        });
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
            jdbc.sql("update import_file set problem_count = 0, plots_new = 0, trees_new = 0, odd_median = null"
                            + " where id = ?")
                    .param(importId)
                    .update();
        });
    }

    private static SurveyRecordReader reader(List<ColumnDto> mapping) {
        Map<SurveyField, SurveyRecordReader.Column> columns = new EnumMap<>(SurveyField.class);
        for (ColumnDto column : mapping) {
            columns.put(
                    ImportWorker.field(column),
                    new SurveyRecordReader.Column(column.heading(), column.unit() == null ? "" : column.unit()));
        }
        return new SurveyRecordReader(columns);
    }

    private SurveyRecord sort(
            UUID importId,
            FileRow row,
            SurveyRecordReader reader,
            ImportRules rules,
            List<Object[]> good,
            ImportProblems problems) {
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
                plot == null || !ofPlot.isEmpty() ? null : json.text(ToldPlot.of(read)),
                read.tag(),
                tree == null || !ofTree.isEmpty() ? null : json.text(new ImportedTree(tree, read.cloneOf()))
            });
        }
        problems.note(row, ofPlot, ofTree);
        return read;
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
    }

    /** What rows must hold together, and beside what is stored already; told by the file's own headings. */
    private void askTheDatabase(UUID importId, UUID surveyId, ImportProblems problems) {
        Map<String, String> headings = new HashMap<>();
        for (SurveyField field : SurveyField.values()) {
            headings.put(field.code(), problems.heading(field));
        }
        for (String question : ImportQuestions.ALL) {
            jdbc.sql("insert into import_problem select :import, place, :headings::jsonb ->> field, problem from ("
                            + question + ") found (place, field, problem)")
                    .param("import", importId)
                    .param("survey", surveyId)
                    .param("headings", json.text(headings))
                    .update();
        }
    }

    /** Diameters of another unit are one cause, so they are one problem: the unit is asked for. */
    private void askForTheUnit(UUID importId, int median, ImportProblems problems) {
        String heading = problems.heading(SurveyField.DIAMETER);
        jdbc.sql("delete from import_problem where import_id = ? and heading = ?")
                .params(importId, heading)
                .update();
        jdbc.sql("insert into import_problem values (?, 1, ?, ?)")
                .params(
                        importId,
                        heading,
                        "half of the trees would be " + (Diameters.isThick(median) ? "thicker" : "thinner") + " than "
                                + median + " mm; say in which unit they were measured")
                .update();
        jdbc.sql("update import_file set odd_median = ? where id = ?")
                .params(median, importId)
                .update();
    }

    private void count(UUID importId, UUID surveyId) {
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
