package org.goldthistle.season;

import static org.goldthistle.season.SeasonSql.LOOKS_OF_DISTRICT;
import static org.goldthistle.season.SeasonSql.OVERRULED;
import static org.goldthistle.season.SeasonSql.READ_TWICE_IN_ALL;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Counting;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TimeAtTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Counts the seasons of a district side by side. */
@Service
class SeasonsCompared {
    private static final int MOST_PAIRS = 20;

    /** Every tree with a call of its own: whether it was signed, contested, overruled, and how it was read twice. */
    private static final String TREES = "with twice as materialized (" + READ_TWICE_IN_ALL + ")"
            + " select p.survey_id, p.id plot_id, p.code, t.group_id, r.answers, r.one_id, r.other_id,"
            + " t.contested and " + SurveyedTree.SHOWN + " contested, " + SurveyedTree.SHOWN + " and " + OVERRULED
            + " overruled from tree t join plot p on p.id = t.plot_id left join twice r on r.tree_id = t.id"
            + " where p.survey_id in (" + District.SURVEYS + ") and t.clone_of is null and exists"
            + " (select 1 from determination d where d.tree_id = t.id and d.settles is null)";

    private final SurveyService surveys;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final Counting counting;

    SeasonsCompared(SurveyService surveys, LibraryService library, JdbcClient jdbc, Counting counting) {
        this.surveys = surveys;
        this.library = library;
        this.jdbc = jdbc;
        this.counting = counting;
    }

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey */
    SeasonsDto of(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        var minutes = counting.beside(() -> minutes(surveyId, observerId));
        var pairs = counting.beside(() -> pairs(surveyId, observerId));
        List<PlotFigures> plots = counting.counted(() -> plots(surveyId, observerId));
        return new SeasonsDto(seasons(plots, Counting.joined(minutes)), Counting.joined(pairs), sideBySide(plots));
    }

    private JdbcClient.StatementSpec asked(String sql, UUID surveyId, UUID observerId) {
        return jdbc.sql(sql).param("survey", surveyId).param("observer", observerId);
    }

    /** A plot in a season, or a season without any: then it has no plot and no code. */
    private record PlotFigures(UUID surveyId, String name, int season, UUID plotId, String code, Figures figures) {}

    /** What was signed, and how. */
    private record Figures(int trees, int contested, int overruled, int twice, int agreed) {
        Figures and(Figures other) {
            return new Figures(
                    trees + other.trees,
                    contested + other.contested,
                    overruled + other.overruled,
                    twice + other.twice,
                    agreed + other.agreed);
        }
    }

    /** By season, its survey's name and the plot's code. */
    private List<PlotFigures> plots(UUID surveyId, UUID observerId) {
        return asked(
                        "select s.id, s.name, s.season, x.plot_id, x.code, count(x.plot_id) trees,"
                                + " count(*) filter (where contested) contested, count(*) filter (where overruled) overruled,"
                                + " count(answers) twice, count(*) filter (where answers = 1) agreed from survey s left join ("
                                + TREES + ") x on x.survey_id = s.id where s.id in (" + District.SURVEYS
                                + ") group by s.id, x.plot_id, x.code order by s.season, s.name, s.id, x.code",
                        surveyId,
                        observerId)
                .query((row, i) -> new PlotFigures(
                        row.getObject("id", UUID.class),
                        row.getString("name"),
                        row.getInt("season"),
                        row.getObject("plot_id", UUID.class),
                        row.getString("code"),
                        new Figures(
                                row.getInt("trees"),
                                row.getInt("contested"),
                                row.getInt("overruled"),
                                row.getInt("twice"),
                                row.getInt("agreed"))))
                .list();
    }

    /** The middle one of the minutes that a tree took, by survey. */
    private Map<UUID, Double> minutes(UUID surveyId, UUID observerId) {
        Map<UUID, Double> found = new HashMap<>();
        asked(
                        "select survey_id, percentile_cont(0.5) within group (order by minutes) minutes from ("
                                + LOOKS_OF_DISTRICT + ") y where minutes between 0 and " + TimeAtTree.LONGEST
                                + " group by survey_id",
                        surveyId,
                        observerId)
                .query(row -> {
                    found.put(row.getObject("survey_id", UUID.class), row.getDouble("minutes"));
                });
        return found;
    }

    private static List<SeasonsDto.SeasonFigures> seasons(List<PlotFigures> plots, Map<UUID, Double> minutes) {
        Map<UUID, Figures> sums = new LinkedHashMap<>();
        Map<UUID, PlotFigures> any = new HashMap<>();
        for (PlotFigures one : plots) {
            sums.merge(one.surveyId(), one.figures(), Figures::and);
            any.put(one.surveyId(), one);
        }
        List<SeasonsDto.SeasonFigures> seasons = new ArrayList<>();
        sums.forEach((id, sum) -> seasons.add(new SeasonsDto.SeasonFigures(
                id,
                any.get(id).name(),
                any.get(id).season(),
                sum.trees(),
                sum.contested(),
                sum.overruled(),
                sum.twice(),
                sum.agreed(),
                minutes.get(id))));
        return seasons;
    }

    /** Those plots that more than one season has, by code. */
    private static List<SeasonsDto.PlotInSeasons> sideBySide(List<PlotFigures> plots) {
        Map<String, List<SeasonsDto.PlotInSeason>> found = new TreeMap<>();
        for (PlotFigures one : plots) {
            if (one.code() != null) {
                Figures of = one.figures();
                found.computeIfAbsent(one.code(), code -> new ArrayList<>())
                        .add(new SeasonsDto.PlotInSeason(
                                one.surveyId(), one.plotId(), of.trees(), of.contested(), of.twice(), of.agreed()));
            }
        }
        return found.entrySet().stream()
                .filter(one -> one.getValue().size() > 1)
                .map(one -> new SeasonsDto.PlotInSeasons(one.getKey(), one.getValue()))
                .toList();
    }

    private List<SeasonsDto.PairInSeasons> pairs(UUID surveyId, UUID observerId) {
        Map<TaxonPair, List<SeasonsDto.TwiceInSeason>> found = new LinkedHashMap<>();
        asked(
                        "with trees as materialized (" + TREES
                                + "), pair as (select group_id, one_id, other_id, count(*) times"
                                + " from trees where answers = 2 group by 1, 2, 3)"
                                + " select a.group_id, a.one_id, a.other_id, x.survey_id, count(*) twice,"
                                + " count(*) filter (where x.answers = 1) agreed from pair a join trees x on x.group_id = a.group_id"
                                + " and (x.answers = 1 and x.one_id in (a.one_id, a.other_id)"
                                + " or x.answers = 2 and x.one_id = a.one_id and x.other_id = a.other_id)"
                                + " group by a.group_id, a.one_id, a.other_id, a.times, x.survey_id order by a.times desc, 1, 2, 3",
                        surveyId,
                        observerId)
                .query(row -> {
                    found.computeIfAbsent(TaxonPair.of(row), pair -> new ArrayList<>())
                            .add(new SeasonsDto.TwiceInSeason(
                                    row.getObject("survey_id", UUID.class), row.getInt("twice"), row.getInt("agreed")));
                });
        SheetNames names = new SheetNames(library.newest());
        return found.entrySet().stream()
                .limit(MOST_PAIRS)
                .map(one -> new SeasonsDto.PairInSeasons(
                        names.title(one.getKey().groupId()),
                        names.answer(one.getKey().groupId(), one.getKey().first()),
                        names.answer(one.getKey().groupId(), one.getKey().second()),
                        one.getValue()))
                .toList();
    }
}
