package org.goldthistle.season;

import static org.goldthistle.season.SeasonSql.CONTESTED;
import static org.goldthistle.season.SeasonSql.OVERRULED;
import static org.goldthistle.season.SeasonSql.REASONS;
import static org.goldthistle.season.SeasonSql.SIGNED;
import static org.goldthistle.season.SeasonSql.WEEK;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finds the trees behind a figure of the season. */
@Service
class SeasonTrees {
    private static final int MOST_SHOWN = 500;

    private final SurveyService surveys;
    private final Sights sights;
    private final JdbcClient jdbc;

    SeasonTrees(SurveyService surveys, Sights sights, JdbcClient jdbc) {
        this.surveys = surveys;
        this.sights = sights;
        this.jdbc = jdbc;
    }

    /**
     * Finds them, and notes that the observer was shown what was made of those that are open to them.
     *
     * @param code of the figure
     * @param of what the figure is of: a date, a code, a month, a call sign
     * @throws org.goldthistle.platform.Problem if the observer does not belong to the survey
     * @throws RefusedException if there is no such figure
     */
    @Transactional
    TreesOfFigureDto of(UUID surveyId, SignedInObserver observer, String code, String of) {
        surveys.requireMember(surveyId, observer.id());
        SeasonFigure figure = Coded.find(SeasonFigure.values(), code)
                .orElseThrow(() -> RefusedException.of("figure", code, Coded.codes(SeasonFigure.values())));
        Map<String, Object> given = new HashMap<>();
        given.put("survey", surveyId);
        given.put("observer", observer.id());
        given.put("own", observer.role() == Role.CREW);
        List<TreesOfFigureDto.TreeOfFigure> trees = new ArrayList<>();
        List<UUID> open = new ArrayList<>();
        int[] inAll = {0};
        jdbc.sql("select t.id, p.id plot_id, p.code, t.tag, t.group_id, " + SurveyedTree.SHOWN
                        + " seen, t.stands_as, t.stands_name, count(*) over () in_all from tree t"
                        + " join plot p on p.id = t.plot_id where t.id in (" + chosen(figure, of, given) + ")"
                        + " order by p.code, t.tag limit " + MOST_SHOWN)
                .params(given)
                .query(row -> {
                    boolean seen = row.getBoolean("seen");
                    inAll[0] = row.getInt("in_all");
                    if (seen) {
                        open.add(row.getObject("id", UUID.class));
                    }
                    trees.add(new TreesOfFigureDto.TreeOfFigure(
                            row.getObject("id", UUID.class),
                            row.getObject("plot_id", UUID.class),
                            row.getString("code"),
                            row.getInt("tag"),
                            row.getString("group_id"),
                            seen ? row.getString("stands_as") : "review",
                            seen ? row.getString("stands_name") : null));
                });
        sights.shown(observer.id(), Scope.SEASON, open);
        return new TreesOfFigureDto(inAll[0], trees);
    }

    private static String chosen(SeasonFigure figure, String of, Map<String, Object> given) {
        given.put("of", of);
        return switch (figure) {
            case WEEK -> {
                given.put("of", date(of));
                yield "select d.tree_id" + SIGNED + " and " + WEEK + " = :of";
            }
            case GROUP -> "select d.tree_id" + SIGNED + " and t.group_id = :of";
            case CONTESTED ->
                "select d.tree_id" + SIGNED + " and t.group_id = :of and t.contested and " + SurveyedTree.SHOWN;
            case OVERRULED ->
                "select d.tree_id" + SIGNED + " and t.group_id = :of and " + SurveyedTree.SHOWN + " and " + OVERRULED;
            case REASON ->
                "select d.tree_id" + SIGNED + CONTESTED + " and exists (select 1 from " + REASONS
                        + " reason where split_part(reason, ':', 1) = :of)";
            case WAITING -> "select tree_id from (" + waiting(of).query() + ") w";
            case COME_BACK -> {
                given.put("of", month(of));
                yield "select t.id from tree t join plot p on p.id = t.plot_id where p.survey_id = :survey"
                        + " and t.stands_as = 'come-back' and t.come_back_month = :of and " + SurveyedTree.SHOWN;
            }
            case OBSERVER ->
                "select d.tree_id" + SIGNED + " and d.observer_id ="
                        + " (select id from observer where call_sign = :of)";
            case MISTAKEN -> {
                String[] pair = of.split("\\|", -1);
                require(pair.length == 3, of, "a group and two taxa, parted by strokes");
                given.put("group", pair[0]);
                given.put("first", pair[1]);
                given.put("second", pair[2]);
                yield "select tree_id from (" + Mistaken.PAIRS
                        + ") m where group_id = :group and one_id = :first and other_id = :second";
            }
        };
    }

    private static LocalDate date(String text) {
        try {
            return LocalDate.parse(text);
        } catch (DateTimeParseException none) {
            throw RefusedException.of("of", text, "a Monday, as 2026-09-14");
        }
    }

    private static int month(String text) {
        require(text.matches("[1-9]|1[0-2]"), text, "a month, 1 to 12");
        return Integer.parseInt(text);
    }

    private static void require(boolean holds, String found, String expected) {
        if (!holds) {
            throw RefusedException.of("of", found, expected);
        }
    }

    private static WhatWaits waiting(String code) {
        return Coded.find(WhatWaits.values(), code)
                .orElseThrow(() -> RefusedException.of("of", code, Coded.codes(WhatWaits.values())));
    }
}
