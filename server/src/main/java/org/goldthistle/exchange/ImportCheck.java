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
                plot == null || !ofPlot.isEmpty() ? null : json.writeValueAsString(plot),
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
        problem(
                importId,
                surveyId,
                "select r.place, 'tag', 'tree ' || r.tag || ' stands in row ' || min(o.place) || ' already: each tag"
                        + " once in a plot' from import_row r join import_row o on o.import_id = r.import_id"
                        + " and o.plot_code = r.plot_code and o.tag = r.tag and o.place < r.place"
                        + " where r.import_id = :import group by r.place, r.tag");
        problem(
                importId,
                surveyId,
                "select r.place, 'tag', 'tree ' || r.tag || ' of ' || r.plot_code || ' is in the survey already'"
                        + " from import_row r join plot p on p.survey_id = :survey and p.code = r.plot_code"
                        + " join tree t on t.plot_id = p.id and t.tag = r.tag where r.import_id = :import");
        problem(
                importId,
                surveyId,
                "select r.place, 'plot', 'the plot ' || r.plot_code || ' is closed' from import_row r"
                        + " join plot p on p.survey_id = :survey and p.code = r.plot_code and p.closed_at is not null"
                        + " where r.import_id = :import and r.tag is not null");
        problem(
                importId,
                surveyId,
                "select r.place, 'plot', r.plot_code || ' is described otherwise than in row ' || f.place"
                        + " from import_row r join lateral (select place, plot from import_row"
                        + " where import_id = r.import_id and plot_code = r.plot_code and plot is not null"
                        + " order by place limit 1) f on true where r.import_id = :import and r.plot is not null"
                        + " and r.plot <> f.plot");
        problem(
                importId,
                surveyId,
                "select r.place, 'plot', r.plot_code || ' is in the survey already and described otherwise there; leave"
                        + " its cells empty, or change the plot first' from import_row r"
                        + " join plot p on p.survey_id = :survey and p.code = r.plot_code"
                        + " where r.import_id = :import and r.plot is not null and (r.plot ->> 'latitude')::float8"
                        + " is distinct from p.latitude or r.import_id = :import and r.plot is not null"
                        + " and p.survey_id = :survey and (r.plot ->> 'radiusMetres')::float8 <> p.radius_metres");
        problem(
                importId,
                surveyId,
                "select r.place, 'distance', (r.tree #>> '{body,distanceMetres}') || ': it must be within the plot,"
                        + " whose radius is ' || c.radius || ' m' from import_row r join lateral (select coalesce("
                        + "(select p.radius_metres from plot p where p.survey_id = :survey and p.code = r.plot_code),"
                        + "(select (f.plot ->> 'radiusMetres')::float8 from import_row f where f.import_id = r.import_id"
                        + " and f.plot_code = r.plot_code and f.plot is not null order by place limit 1), 15) radius) c"
                        + " on true where r.import_id = :import and r.tree is not null"
                        + " and (r.tree #>> '{body,distanceMetres}')::float8 > c.radius");
        problem(
                importId,
                surveyId,
                "select r.place, 'clone of', 'tree ' || (r.tree ->> 'cloneOfTag') || ' is no other stem of that plot that"
                        + " bears its own call' from import_row r where r.import_id = :import"
                        + " and r.tree ->> 'cloneOfTag' is not null and not exists (select 1 from import_row b"
                        + " where b.import_id = r.import_id and b.plot_code = r.plot_code"
                        + " and b.tag = (r.tree ->> 'cloneOfTag')::int and b.place <> r.place"
                        + " and b.tree ->> 'cloneOfTag' is null"
                        + " and b.tree #>> '{body,groupId}' = r.tree #>> '{body,groupId}')");
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

    private void problem(UUID importId, UUID surveyId, String found) {
        jdbc.sql("insert into import_problem select :import, found.* from (" + found + ") found")
                .param("import", importId)
                .param("survey", surveyId)
                .update();
    }
}
