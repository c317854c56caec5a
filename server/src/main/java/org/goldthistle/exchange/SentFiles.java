package org.goldthistle.exchange;

import com.fasterxml.jackson.core.type.TypeReference;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.TextEncoding;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The record of the files on their way in: whose each is, and how it stands. */
@Component
class SentFiles {
    private static final Duration DEAD_AFTER = Duration.ofMinutes(2); // without a sign of life

    private final SurveyService surveys;
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    SentFiles(SurveyService surveys, JdbcClient jdbc, KeptJson json, Clock clock) {
        this.surveys = surveys;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /**
     * A file of an observer's own.
     *
     * @throws Problem if the observer does not belong to the survey, or has sent no such file
     */
    SentFile own(UUID surveyId, UUID importId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return find(importId)
                .filter(kept ->
                        kept.surveyId().equals(surveyId) && kept.observerId().equals(observerId))
                .map(this::buriedIfDead)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_IMPORT,
                        "There is no such file on its way into this survey. Send it again."));
    }

    /** An instance that was killed leaves its work behind; nothing of it was stored. */
    private SentFile buriedIfDead(SentFile kept) {
        boolean isDead = kept.isAtWork()
                && kept.aliveAt().toInstant().isBefore(clock.instant().minus(DEAD_AFTER));
        if (!isDead) {
            return kept;
        }
        jdbc.sql("update import_file set state = 'broken', told = ? where id = ?")
                .params(
                        "The server stopped while it worked on this file. Nothing was stored; check it again.",
                        kept.id())
                .update();
        return find(kept.id()).orElseThrow();
    }

    /** A file whosever it is. */
    Optional<SentFile> find(UUID importId) {
        return jdbc.sql("select * from import_file where id = ?")
                .param(importId)
                .query((row, i) -> kept(row))
                .optional();
    }

    private SentFile kept(ResultSet row) throws SQLException {
        String mapping = row.getString("mapping");
        return new SentFile(
                row.getObject("id", UUID.class),
                row.getObject("survey_id", UUID.class),
                row.getObject("observer_id", UUID.class),
                row.getString("name"),
                Coded.find(FileFormat.values(), row.getString("format")).orElseThrow(),
                Coded.find(TextEncoding.values(), row.getString("encoding")).orElseThrow(),
                Coded.find(ImportState.values(), row.getString("state")).orElseThrow(),
                List.of((String[]) row.getArray("headings").getArray()),
                mapping == null ? List.of() : json.read(mapping, new TypeReference<List<ColumnDto>>() {}),
                row.getLong("rows_done"),
                row.getDouble("share_done"),
                row.getInt("plots_new"),
                row.getInt("trees_new"),
                row.getLong("problem_count"),
                row.getObject("odd_median", Integer.class),
                row.getString("told"),
                row.getTimestamp("alive_at"));
    }
}
