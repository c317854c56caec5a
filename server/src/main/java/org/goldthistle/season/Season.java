package org.goldthistle.season;

import static org.goldthistle.season.SeasonSql.CONTESTED;
import static org.goldthistle.season.SeasonSql.LOOKS_OF_SURVEY;
import static org.goldthistle.season.SeasonSql.OVERRULED;
import static org.goldthistle.season.SeasonSql.READ_TWICE;
import static org.goldthistle.season.SeasonSql.REASONS;
import static org.goldthistle.season.SeasonSql.SIGNED;
import static org.goldthistle.season.SeasonSql.WEEK;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Counting;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TimeAtTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Counts a survey's season. */
@Service
class Season {
    private final SurveyService surveys;
    private final LibraryService library;
    private final SeasonPlans plans;
    private final Mistaken mistaken;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final Counting counting;

    Season(
            SurveyService surveys,
            LibraryService library,
            SeasonPlans plans,
            Mistaken mistaken,
            JdbcClient jdbc,
            Clock clock,
            Counting counting) {
        this.surveys = surveys;
        this.library = library;
        this.plans = plans;
        this.mistaken = mistaken;
        this.jdbc = jdbc;
        this.clock = clock;
        this.counting = counting;
    }

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey */
    SurveySeasonDto of(UUID surveyId, SignedInObserver observer) {
        surveys.requireMember(surveyId, observer.id());
        boolean own = observer.role() == Role.CREW;
        UUID id = observer.id();
        CompletableFuture<List<SurveySeasonDto.WalkedBy>> walked = counting.beside(() -> walked(surveyId, id, own));
        CompletableFuture<List<SurveySeasonDto.MistakenPair>> taken = counting.beside(() -> mistaken.of(surveyId, id));
        SurveySeasonDto rest = counting.counted(() -> new SurveySeasonDto(
                own,
                plots(surveyId, id),
                plans.lines(surveyId),
                plans.plan(surveyId).orElse(null),
                weeks(surveyId, id, own),
                groups(surveyId, id, own),
                reasons(surveyId, id, own),
                waits(surveyId),
                comeBack(surveyId, id),
                List.of(),
                List.of()));
        return rest.with(Counting.joined(taken), Counting.joined(walked));
    }

    private JdbcClient.StatementSpec asked(String sql, UUID surveyId, UUID observerId, boolean own) {
        return jdbc.sql(sql)
                .param("survey", surveyId)
                .param("observer", observerId)
                .param("own", own);
    }

    private List<SurveySeasonDto.PlotAtGlance> plots(UUID surveyId, UUID observerId) {
        return jdbc.sql("select p.id, p.code, p.latitude, p.longitude,"
                        + " count(t.id) filter (where t.clone_of is null) stems,"
                        + " count(t.id) filter (where t.clone_of is null and t.stands_as = 'open') open,"
                        + " count(t.id) filter (where t.contested and " + SurveyedTree.SHOWN + ") contested,"
                        + " count(k.id) review, count(r.answers) twice, count(r.answers) filter (where r.answers = 1) agreed"
                        + " from plot p left join tree t on t.plot_id = p.id"
                        + " left join review_case k on k.tree_id = t.id and k.state <> 'settled'"
                        + " left join (" + READ_TWICE + ") r on r.tree_id = t.id"
                        + " where p.survey_id = :survey group by p.id order by p.code")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query(SurveySeasonDto.PlotAtGlance.class)
                .list();
    }

    private List<SurveySeasonDto.WeekOfSeason> weeks(UUID surveyId, UUID observerId, boolean own) {
        Optional<SurveySeasonDto.PlanDto> plan = own ? Optional.empty() : plans.plan(surveyId);
        return asked(
                        "select week, count(*) filter (where place = 1) first, count(*) filter (where place > 1) further from"
                                + " (select " + WEEK + " week,"
                                + " row_number() over (partition by d.tree_id order by d.entry_order) place" + SIGNED
                                + ") s group by week order by week",
                        surveyId,
                        observerId,
                        own)
                .query((row, i) -> {
                    LocalDate from = row.getDate("week").toLocalDate();
                    return new SurveySeasonDto.WeekOfSeason(
                            from,
                            row.getInt("first"),
                            row.getInt("further"),
                            plan.map(one -> (int) Math.round(SeasonPlans.due(one, from.plusDays(6))))
                                    .orElse(null));
                })
                .list();
    }

    private List<SurveySeasonDto.GroupOfSeason> groups(UUID surveyId, UUID observerId, boolean own) {
        SheetNames names = new SheetNames(library.newest());
        return asked(
                        "select s.group_id, count(*) trees, count(*) filter (where s.contested) contested,"
                                + " count(*) filter (where s.overruled) overruled from (select distinct t.id, t.group_id,"
                                + " t.contested and " + SurveyedTree.SHOWN + " contested, " + SurveyedTree.SHOWN
                                + " and "
                                + OVERRULED + " overruled" + SIGNED
                                + " and t.group_id is not null) s group by s.group_id order by contested desc, trees desc, s.group_id",
                        surveyId,
                        observerId,
                        own)
                .query((row, i) -> new SurveySeasonDto.GroupOfSeason(
                        row.getString("group_id"),
                        names.title(row.getString("group_id")),
                        row.getInt("trees"),
                        row.getInt("contested"),
                        row.getInt("overruled")))
                .list();
    }

    private List<SurveySeasonDto.ReasonOfSeason> reasons(UUID surveyId, UUID observerId, boolean own) {
        return asked(
                        "select reason, count(distinct tree_id) calls from (select d.tree_id, split_part(" + REASONS
                                + ", ':', 1) reason" + SIGNED + CONTESTED
                                + ") s group by reason order by calls desc, reason",
                        surveyId,
                        observerId,
                        own)
                .query(SurveySeasonDto.ReasonOfSeason.class)
                .list();
    }

    private List<SurveySeasonDto.WaitOfSeason> waits(UUID surveyId) {
        return Arrays.stream(WhatWaits.values())
                .map(what -> wait(what, surveyId))
                .toList();
    }

    private SurveySeasonDto.WaitOfSeason wait(WhatWaits what, UUID surveyId) {
        return jdbc.sql("select count(distinct tree_id) trees, min(since) since from (" + what.query() + ") w")
                .param("survey", surveyId)
                .query((row, i) -> {
                    Timestamp since = row.getTimestamp("since");
                    return new SurveySeasonDto.WaitOfSeason(
                            what.code(),
                            row.getInt("trees"),
                            since == null
                                    ? null
                                    : (int) Duration.between(since.toInstant(), clock.instant())
                                            .toDays());
                })
                .single();
    }

    private List<SurveySeasonDto.MonthOfSeason> comeBack(UUID surveyId, UUID observerId) {
        return jdbc.sql("select t.come_back_month as month, count(*) trees from tree t join plot p on p.id = t.plot_id"
                        + " where p.survey_id = :survey and t.stands_as = 'come-back' and " + SurveyedTree.SHOWN
                        + " group by t.come_back_month order by 1")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query(SurveySeasonDto.MonthOfSeason.class)
                .list();
    }

    /** Minutes are those of trees that were read and signed on one day, away no longer than two hours. */
    private List<SurveySeasonDto.WalkedBy> walked(UUID surveyId, UUID observerId, boolean own) {
        return asked(
                        "select o.call_sign, count(distinct w.day) days, count(distinct w.tree_id) filter (where w.minutes >= 0)"
                                + " trees, percentile_cont(0.5) within group (order by w.minutes) filter (where w.minutes"
                                + " between 0 and " + TimeAtTree.LONGEST + ") minutes from (" + LOOKS_OF_SURVEY
                                + ") w join observer o on o.id = w.observer_id"
                                + " where cast(:own as boolean) is false or w.observer_id = :observer"
                                + " group by o.call_sign order by o.call_sign",
                        surveyId,
                        observerId,
                        own)
                .query((row, i) -> new SurveySeasonDto.WalkedBy(
                        row.getString("call_sign"),
                        row.getInt("days"),
                        row.getInt("trees"),
                        row.getObject("minutes", Double.class)))
                .list();
    }
}
