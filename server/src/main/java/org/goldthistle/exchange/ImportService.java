package org.goldthistle.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.DeterminationsCsv;
import org.goldthistle.formats.FileRow;
import org.goldthistle.formats.GeoJsonFile;
import org.goldthistle.formats.ReadingsCsv;
import org.goldthistle.formats.RowFile;
import org.goldthistle.formats.SurveyField;
import org.goldthistle.formats.TextEncoding;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files on their way in: sent, checked, stored whole or not at all. The work itself is done in the background. */
@Service
class ImportService {

    private final SentFiles sent;
    private final ImportView view;
    private final KeptFile files;
    private final ImportWorker worker;
    private final SurveyService surveys;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final ImportUndo undo;
    private final Clock clock;

    ImportService(
            SentFiles sent,
            ImportView view,
            KeptFile files,
            ImportWorker worker,
            SurveyService surveys,
            Turns turns,
            JdbcClient jdbc,
            KeptJson json,
            ImportUndo undo,
            Clock clock) {
        this.sent = sent;
        this.view = view;
        this.files = files;
        this.worker = worker;
        this.surveys = surveys;
        this.turns = turns;
        this.jdbc = jdbc;
        this.json = json;
        this.undo = undo;
        this.clock = clock;
    }

    /**
     * Keeps a file and guesses what its columns hold. A second one under the same id takes the place of the first.
     *
     * @throws Problem if it cannot be read, or is too large
     */
    @Transactional
    public ImportDto send(UUID surveyId, UUID importId, UUID observerId, String name, InputStream content) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, importId));
        surveys.requireOpen(surveyId, observerId);
        if (sent.find(importId).isPresent()) {
            sent.own(surveyId, importId, observerId);
            jdbc.sql("delete from import_file where id = ?").param(importId).update();
        }
        Timestamp now = Timestamp.from(clock.instant());
        jdbc.sql("insert into import_file (id, survey_id, observer_id, name, format, size_bytes, state, made_at,"
                        + " alive_at) values (?, ?, ?, ?, 'csv', 0, 'sent', ?, ?)")
                .params(importId, surveyId, observerId, name, now, now)
                .update();
        try {
            long size = files.keep(importId, content);
            if (files.isArchive(importId)) {
                throw RefusedException.of(
                        "file", "an archive", "a table or map of plots and trees, which is not in an archive");
            }
            FileFormat format =
                    files.firstCharacter(importId).filter(one -> one == '{').isPresent()
                            ? FileFormat.GEOJSON
                            : FileFormat.CSV;
            jdbc.sql("update import_file set format = ?, size_bytes = ? where id = ?")
                    .params(format.code(), size, importId)
                    .update();
            readAs(importId, format, format == FileFormat.CSV ? files.encoding(importId) : TextEncoding.UTF_8);
        } catch (IOException | RefusedException unreadable) {
            throw Problem.unfit(
                    ProblemType.UNREADABLE_FILE,
                    "This file cannot be read: " + unreadable.getMessage() + ". Nothing was kept; mend the file and"
                            + " send it again.");
        }
        return view.of(surveyId, importId, observerId);
    }

    /**
     * Reads a table in another encoding than it was guessed to be in, and guesses anew what its columns hold.
     *
     * @throws Problem if it cannot be read so
     */
    @Transactional
    public ImportDto readAs(UUID surveyId, UUID importId, UUID observerId, String encoding) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, importId));
        surveys.requireOpen(surveyId, observerId);
        SentFile kept = sent.own(surveyId, importId, observerId);
        requireIdle(kept);
        requireNotStored(kept);
        TextEncoding asked = Coded.find(TextEncoding.values(), encoding)
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NO_SUCH_ENCODING,
                        "A table is read as " + Coded.codes(TextEncoding.values()) + ", but \"" + encoding
                                + "\" was sent. Nothing was changed."));
        try {
            readAs(importId, kept.format(), asked);
        } catch (IOException | RefusedException unreadable) {
            throw Problem.unfit(
                    ProblemType.UNREADABLE_FILE,
                    "Read as " + encoding + ", this file makes no sense: " + unreadable.getMessage()
                            + ". It stays as it was; choose another encoding.");
        }
        change(importId, ImportState.SENT);
        return view.of(surveyId, importId, observerId);
    }

    private void readAs(UUID importId, FileFormat format, TextEncoding encoding) throws IOException {
        List<String> headings = headings(importId, format, encoding);
        refuseWhatIsNotTaken(headings);
        jdbc.sql("update import_file set encoding = ?, headings = ?, mapping = ?::jsonb, problem_count = 0,"
                        + " odd_median = null where id = ?")
                .params(encoding.code(), headings.toArray(String[]::new), json.text(guess(headings)), importId)
                .update();
        jdbc.sql("delete from import_problem where import_id = ?")
                .param(importId)
                .update();
    }

    /** What left as a table of its own and names trees too, but is none of plots and trees. */
    private static void refuseWhatIsNotTaken(List<String> headings) {
        String expected = "a table or map of plots and trees";
        if (DeterminationsCsv.isOne(headings)) {
            throw RefusedException.of("file", "a table of signatures, which nobody gives for somebody else", expected);
        }
        if (ReadingsCsv.isOne(headings)) {
            throw RefusedException.of("file", "a table of readings, which belong to whoever made them", expected);
        }
    }

    private List<String> headings(UUID importId, FileFormat format, TextEncoding encoding) throws IOException {
        try (RowFile rows = files.rows(importId, format, encoding, read -> {})) {
            if (format == FileFormat.GEOJSON) {
                Optional<FileRow> row = rows.next();
                while (row.isPresent()) { // every feature may have properties of its own
                    row = rows.next();
                }
            }
            return rows.headings().stream()
                    .filter(heading ->
                            !heading.equals(GeoJsonFile.POINT_LATITUDE) && !heading.equals(GeoJsonFile.POINT_LONGITUDE))
                    .toList();
        }
    }

    private static List<ColumnDto> guess(List<String> headings) {
        List<ColumnDto> columns = new ArrayList<>();
        for (String heading : headings) {
            SurveyField.ofHeading(heading)
                    .filter(field ->
                            columns.stream().noneMatch(one -> one.field().equals(field.code())))
                    .ifPresent(field -> columns.add(new ColumnDto(
                            heading,
                            field.code(),
                            field.unitIn(heading)
                                    .or(() -> field.units().stream().findFirst())
                                    .orElse(null),
                            null)));
        }
        return columns;
    }

    /** Takes the columns for what the observer says they are, and begins to check every row. */
    @Transactional
    public ImportDto check(UUID surveyId, UUID importId, UUID observerId, List<ColumnDto> columns) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, importId));
        surveys.requireOpen(surveyId, observerId);
        SentFile kept = sent.own(surveyId, importId, observerId);
        requireIdle(kept);
        requireNotStored(kept);
        requireColumns(columns);
        change(importId, ImportState.CHECKING);
        jdbc.sql("update import_file set mapping = ?::jsonb where id = ?")
                .params(json.text(columns), importId)
                .update();
        worker.checkAfterwards(importId);
        return view.of(surveyId, importId, observerId);
    }

    /** Begins to store what was checked. */
    @Transactional
    public ImportDto store(UUID surveyId, UUID importId, UUID observerId) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, importId));
        surveys.requireOpen(surveyId, observerId);
        SentFile kept = sent.own(surveyId, importId, observerId);
        if (kept.state() != ImportState.CHECKED || kept.problems() > 0) {
            throw Problem.conflict(
                    ProblemType.NOT_CHECKED,
                    "Only a file that was checked and has no problem is stored, since it is stored whole or not at"
                            + " all. Nothing was stored; mend the file or its columns, and check it again.");
        }
        change(importId, ImportState.STORING);
        worker.storeAfterwards(importId, observerId);
        return view.of(surveyId, importId, observerId);
    }

    /** Asks whoever works on it to stop; nothing of it stays. */
    @Transactional
    public ImportDto stop(UUID surveyId, UUID importId, UUID observerId) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, importId));
        sent.own(surveyId, importId, observerId);
        jdbc.sql("update import_file set stop_asked = true where id = ?")
                .param(importId)
                .update();
        return view.of(surveyId, importId, observerId);
    }

    /**
     * Takes back what a file brought.
     *
     * @throws Problem if it is not stored, or something of it was touched meanwhile
     */
    @Transactional
    public ImportDto takeBack(UUID surveyId, UUID importId, UUID observerId) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, importId));
        surveys.requireOpen(surveyId, observerId);
        SentFile kept = sent.own(surveyId, importId, observerId);
        if (kept.state() == ImportState.TAKEN_BACK) {
            return view.of(surveyId, importId, observerId); // sent twice
        }
        if (kept.state() != ImportState.STORED) {
            throw Problem.conflict(
                    ProblemType.NOT_STORED, "Only a file that was stored can be taken back. Nothing was changed.");
        }
        undo.run(importId, surveyId, observerId, kept.name());
        return view.of(surveyId, importId, observerId);
    }

    /** The files that an observer stored in a survey, the newest first. */
    @Transactional(readOnly = true)
    public List<ImportDto.StoredDto> stored(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return jdbc.sql("select id, name, plots_new, trees_new, alive_at from import_file where survey_id = ?"
                        + " and observer_id = ? and state = 'stored' order by alive_at desc, id")
                .params(surveyId, observerId)
                .query((row, i) -> new ImportDto.StoredDto(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        row.getInt("plots_new"),
                        row.getInt("trees_new"),
                        row.getTimestamp("alive_at").toInstant()))
                .list();
    }

    /** Forgets a file that was not stored, or the content of one that was. */
    @Transactional
    public void forget(UUID surveyId, UUID importId, UUID observerId) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, importId));
        SentFile kept = sent.own(surveyId, importId, observerId);
        requireIdle(kept);
        boolean wasStored = kept.wasStored();
        // what was stored stays on record, so that it can be taken back
        jdbc.sql(wasStored ? "delete from import_piece where import_id = ?" : "delete from import_file where id = ?")
                .param(importId)
                .update();
    }

    /** A file as it stands. */
    @Transactional
    public ImportDto show(UUID surveyId, UUID importId, UUID observerId) {
        return view.of(surveyId, importId, observerId);
    }

    private static void requireIdle(SentFile kept) {
        if (kept.isAtWork()) {
            throw Problem.conflict(
                    ProblemType.STILL_AT_WORK,
                    "This file is still being worked on. Nothing was changed; wait, or stop it first.");
        }
    }

    private static void requireNotStored(SentFile kept) {
        if (kept.wasStored()) {
            throw Problem.conflict(
                    ProblemType.IS_STORED, "This file is stored already. Nothing was changed; send it again.");
        }
    }

    private static void requireColumns(List<ColumnDto> columns) {
        for (ColumnDto column : columns) {
            SurveyField field = ImportWorker.field(column);
            boolean unitFits = column.unit() == null
                    ? field.units().isEmpty()
                    : field.units().contains(column.unit());
            if (!unitFits) {
                throw Problem.unfit(
                        ProblemType.NO_SUCH_UNIT,
                        "The column \"" + column.heading() + "\" holds " + field.code() + ", which is given in "
                                + String.join(" or ", field.units()) + ". Nothing was checked; choose one of them.");
            }
        }
        if (columns.stream().noneMatch(column -> ImportWorker.field(column) == SurveyField.PLOT)) {
            throw Problem.unfit(
                    ProblemType.NO_PLOT_COLUMN,
                    "No column is taken for the plot, and every row must name one. Nothing was checked; choose the"
                            + " column that holds the plot's code.");
        }
    }

    private void change(UUID importId, ImportState state) {
        jdbc.sql("update import_file set state = ?, share_done = 0, rows_done = 0, stop_asked = false, told = '',"
                        + " alive_at = ? where id = ?")
                .params(state.code(), Timestamp.from(clock.instant()), importId)
                .update();
    }
}
