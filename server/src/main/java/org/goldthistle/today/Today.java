package org.goldthistle.today;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.Thistle;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What an observer should do today: plots to walk, calls to settle. */
@Service
class Today {
    private static final int MOST_ROWS = 40; // of a list; the rest is counted

    /** Below one visit in five a walk to a tree is better spent elsewhere. */
    private static final double WORTH_A_VISIT = 0.2;

    /** By this much a better month is worth waiting for. */
    private static final double WORTH_WAITING = 0.15;

    private static final int NOW = 100; // beyond the months
    private static final int UNPLAYED = 101;
    private static final String SETTLES = "s.settles[:month]";
    private static final String MINE_CONTESTED = " from call_state s join tree t on t.id = s.tree_id"
            + " join plot p on p.id = t.plot_id where s.survey_id = :survey and s.observer_id = :observer"
            + " and s.contested and t.stands_as in ('open', 'come-back')";

    private final SurveyService surveys;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    Today(SurveyService surveys, LibraryService library, JdbcClient jdbc, KeptJson json, Clock clock) {
        this.surveys = surveys;
        this.library = library;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey */
    @Transactional(readOnly = true)
    TodayDto of(UUID surveyId, SignedInObserver observer) {
        surveys.requireMember(surveyId, observer.id());
        int month = LocalDate.now(clock).getMonthValue();
        Map<String, String> titles = titles();
        List<TodayDto.PlotToWalk> walk = walk(surveyId, observer.id(), month);
        Prospect prospect = prospect(surveyId, observer.id(), month);
        return new TodayDto(
                month,
                walk.stream().limit(MOST_ROWS).toList(),
                walk.size(),
                settle(surveyId, observer.id(), month, titles),
                prospect.now(),
                prospect.waiting(),
                prospect.unplayed(),
                samples(surveyId));
    }

    private List<TodayDto.PlotToWalk> walk(UUID surveyId, UUID observerId, int month) {
        return jdbc.sql("select p.id, p.code, c.open, c.come_back_now, coalesce(b.begun, 0) begun from plot p"
                        + " cross join lateral (select count(*) filter (where t.stands_as = 'open') open,"
                        + " count(*) filter (where t.stands_as = 'come-back' and t.come_back_month = :month and "
                        + SurveyedTree.SHOWN + ") come_back_now"
                        + " from tree t where t.plot_id = p.id and t.clone_of is null) c"
                        + " left join (select t.plot_id, count(*) begun from call_state s join tree t on t.id = s.tree_id"
                        + " where s.survey_id = :survey and s.observer_id = :observer and s.readings > 0"
                        + " and t.stands_as = 'open' and t.clone_of is null group by t.plot_id) b on b.plot_id = p.id"
                        + " where p.survey_id = :survey and p.closed_at is null and (c.open > 0 or c.come_back_now > 0)"
                        + " order by b.begun is not null desc, c.come_back_now > 0 desc, p.code")
                .param("survey", surveyId)
                .param("observer", observerId)
                .param("month", month)
                .query((row, i) -> new TodayDto.PlotToWalk(
                        row.getObject("id", UUID.class),
                        row.getString("code"),
                        row.getInt("open"),
                        row.getInt("begun"),
                        row.getInt("come_back_now")))
                .list();
    }

    private List<TodayDto.CallToSettle> settle(UUID surveyId, UUID observerId, int month, Map<String, String> titles) {
        return jdbc.sql(
                        "select t.id, p.code, t.tag, t.group_id, s.thistle, s.best_month, s.checks[:month] as check_now,"
                                + " s.settles[s.best_month] as best, " + SETTLES + " as now" + MINE_CONTESTED
                                + " and " + SETTLES + " >= " + WORTH_A_VISIT
                                + " order by " + SETTLES + " desc, p.code, t.tag limit " + MOST_ROWS)
                .param("survey", surveyId)
                .param("observer", observerId)
                .param("month", month)
                .query((row, i) -> toSettle(row, titles))
                .list();
    }

    private TodayDto.CallToSettle toSettle(ResultSet row, Map<String, String> titles) throws SQLException {
        return new TodayDto.CallToSettle(
                row.getObject("id", UUID.class),
                row.getString("code"),
                row.getInt("tag"),
                titles.getOrDefault(row.getString("group_id"), row.getString("group_id")),
                json.read(row.getString("thistle"), Thistle.class),
                row.getDouble("now"),
                row.getString("check_now"),
                row.getInt("best_month"),
                row.getDouble("best"),
                row.getDouble("best") - row.getDouble("now") > WORTH_WAITING);
    }

    /** What becomes of all contested calls: settled now, left for a better month or for none, or not played yet. */
    private record Prospect(int now, List<TodayDto.Waiting> waiting, int unplayed) {}

    private Prospect prospect(UUID surveyId, UUID observerId, int month) {
        int now = 0;
        int unplayed = 0;
        List<TodayDto.Waiting> waiting = new ArrayList<>();
        // soonest first; month 0, which none is likely to settle, last
        List<TodayDto.Waiting> sorts = jdbc.sql("select sort, count(*) calls from (select case"
                        + " when s.settles is null then " + UNPLAYED
                        + " when " + SETTLES + " >= " + WORTH_A_VISIT + " then " + NOW
                        + " when s.settles[s.best_month] >= " + WORTH_A_VISIT + " then s.best_month else 0 end sort"
                        + MINE_CONTESTED + ") calls group by sort order by sort = 0, (sort + 11 - :month) % 12")
                .param("survey", surveyId)
                .param("observer", observerId)
                .param("month", month)
                .query((row, i) -> new TodayDto.Waiting(row.getInt("sort"), row.getInt("calls")))
                .list();
        for (TodayDto.Waiting sort : sorts) {
            switch (sort.month()) {
                case NOW -> now = sort.calls();
                case UNPLAYED -> unplayed = sort.calls();
                default -> waiting.add(sort);
            }
        }
        return new Prospect(now, waiting, unplayed);
    }

    /** What is to be taken, and what came back, each by plot and tag. */
    private List<TodayDto.SampleToday> samples(UUID surveyId) {
        return jdbc.sql("select t.id, p.code plot, t.tag, x.code, x.tissue, l.step = 'answered' came_back, k.id case_id"
                        + " from sample x join tree t on t.id = x.tree_id join plot p on p.id = t.plot_id"
                        + " cross join lateral (select step from sample_step where sample_id = x.id"
                        + " order by entry_order desc limit 1) l"
                        + " left join lateral (select id from review_case where tree_id = t.id order by opened_at desc limit 1) k"
                        + " on true where x.survey_id = ? and l.step in ('asked', 'answered')"
                        + " order by came_back desc, p.code, t.tag, x.code")
                .param(surveyId)
                .query((row, i) -> new TodayDto.SampleToday(
                        row.getObject("id", UUID.class),
                        row.getString("plot"),
                        row.getInt("tag"),
                        row.getString("code"),
                        row.getString("tissue"),
                        row.getBoolean("came_back"),
                        row.getObject("case_id", UUID.class)))
                .list();
    }

    private Map<String, String> titles() {
        return library.newest().stream()
                .collect(Collectors.toMap(
                        stored -> stored.sheet().id(), stored -> stored.sheet().title()));
    }
}
