package org.goldthistle.season;

import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Refusals;
import org.goldthistle.formats.MapLines;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a lead sets for a season: how many trees are to be signed until when, and the lines that the map shows. */
@Service
class SeasonPlans {
    private static final int MOST_TREES = 1_000_000;

    private final SurveyService surveys;
    private final AuditTrail audit;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    SeasonPlans(SurveyService surveys, AuditTrail audit, Turns turns, JdbcClient jdbc, KeptJson json, Clock clock) {
        this.surveys = surveys;
        this.audit = audit;
        this.turns = turns;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    Optional<SurveySeasonDto.PlanDto> plan(UUID surveyId) {
        return jdbc.sql("select trees, begins, ends from season_plan where survey_id = ?")
                .param(surveyId)
                .query((row, i) -> new SurveySeasonDto.PlanDto(
                        row.getInt("trees"),
                        row.getDate("begins").toLocalDate(),
                        row.getDate("ends").toLocalDate()))
                .optional();
    }

    /** Lines as longitudes and latitudes; none: nobody sent any. */
    List<List<List<Double>>> lines(UUID surveyId) {
        return jdbc.sql("select lines from season_lines where survey_id = ?")
                .param(surveyId)
                .query((row, i) ->
                        json.read(row.getString("lines"), MapLines.class).lines())
                .optional()
                .orElse(List.of());
    }

    /**
     * Sets what is planned; sent again, it changes nothing.
     *
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey, or it is closed
     * @throws org.goldthistle.core.RefusedException if it is no plan
     */
    @Transactional
    void plan(UUID surveyId, UUID observerId, SurveySeasonDto.PlanDto asked) {
        turns.take(Turn.alone(Turn.Thing.SURVEY, surveyId));
        surveys.requireOpen(surveyId, observerId);
        Refusals refusals = new Refusals();
        refusals.require(
                asked.trees() >= 1 && asked.trees() <= MOST_TREES,
                "trees",
                String.valueOf(asked.trees()),
                "1 to " + MOST_TREES);
        refusals.require(
                asked.begins().isBefore(asked.ends()),
                "ends",
                asked.ends().toString(),
                "a day after " + asked.begins());
        refusals.throwIfAny();
        Optional<SurveySeasonDto.PlanDto> before = plan(surveyId);
        if (before.equals(Optional.of(asked))) {
            return;
        }
        jdbc.sql("insert into season_plan (survey_id, trees, begins, ends, set_by, set_at) values (?, ?, ?, ?, ?, ?)"
                        + " on conflict (survey_id) do update set trees = excluded.trees, begins = excluded.begins,"
                        + " ends = excluded.ends, set_by = excluded.set_by, set_at = excluded.set_at")
                .params(
                        surveyId,
                        asked.trees(),
                        asked.begins(),
                        asked.ends(),
                        observerId,
                        clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        audit.note(
                Optional.of(observerId),
                "changed the season's plan",
                Place.survey(surveyId),
                before.orElse(null),
                asked);
    }

    /**
     * Keeps the lines of a map in the place of those that were there.
     *
     * @return how many points they have
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey, or it is closed
     * @throws org.goldthistle.core.RefusedException if it is no map of lines
     */
    @Transactional
    int lines(UUID surveyId, UUID observerId, InputStream file) throws IOException {
        surveys.requireMember(surveyId, observerId);
        MapLines sent = MapLines.read(file);
        turns.take(Turn.alone(Turn.Thing.SURVEY, surveyId));
        surveys.requireOpen(surveyId, observerId);
        jdbc.sql("insert into season_lines (survey_id, lines, set_by, set_at) values (?, cast(? as jsonb), ?, ?)"
                        + " on conflict (survey_id) do update set lines = excluded.lines, set_by = excluded.set_by,"
                        + " set_at = excluded.set_at")
                .params(surveyId, json.text(sent), observerId, clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        audit.note(
                Optional.of(observerId), "changed the lines of the season's map", Place.survey(surveyId), null, null);
        return sent.points();
    }

    /** The trees that should be signed for the first time by the end of a day, on a straight way through the plan. */
    static double due(SurveySeasonDto.PlanDto plan, LocalDate day) {
        double days = plan.ends().toEpochDay() - plan.begins().toEpochDay();
        double gone = day.toEpochDay() + 1 - plan.begins().toEpochDay();
        return plan.trees() * Math.max(0, Math.min(1, gone / (days + 1)));
    }
}
