package org.goldthistle.season;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which taxa are taken for each other: trees that two signed under different names, a review's last word among them. */
@Component
class Mistaken {
    private static final int MOST = 20;

    private static final String LAST =
            "with last as materialized (select distinct on (d.tree_id, d.observer_id) d.tree_id,"
                    + " p.survey_id, v.group_id, d.taxon_id from determination d join sheet_version v on v.id = d.sheet_version_id"
                    + " join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id where p.survey_id in (%s) and "
                    + SurveyedTree.SHOWN + " order by d.tree_id, d.observer_id, d.entry_order desc)"
                    + " select distinct a.tree_id, a.survey_id, a.group_id, a.taxon_id as one_id, b.taxon_id as other_id from last a"
                    + " join last b on b.tree_id = a.tree_id and b.group_id = a.group_id and b.taxon_id > a.taxon_id";

    /** A query of {@code tree_id}, {@code group_id}, {@code one_id} and {@code other_id} in {@code :survey}, for {@code :observer}. */
    static final String PAIRS = LAST.formatted(":survey");

    private final LibraryService library;
    private final JdbcClient jdbc;

    Mistaken(LibraryService library, JdbcClient jdbc) {
        this.library = library;
        this.jdbc = jdbc;
    }

    /** The pairs of a survey and of the other seasons of its district, those most often met in all seasons first. */
    List<SurveySeasonDto.MistakenPair> of(UUID surveyId, UUID observerId) {
        Map<TaxonPair, List<SurveySeasonDto.MistakenInSeason>> found = new LinkedHashMap<>();
        jdbc.sql("select m.group_id, m.one_id, m.other_id, s.season, s.id = :survey own, count(*) trees,"
                        + " sum(count(*)) over (partition by m.group_id, m.one_id, m.other_id) in_all from ("
                        + LAST.formatted(District.SURVEYS) + ") m join survey s on s.id = m.survey_id"
                        + " group by 1, 2, 3, 4, 5 order by in_all desc, 1, 2, 3, 4")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query(row -> {
                    found.computeIfAbsent(TaxonPair.of(row), pair -> new ArrayList<>())
                            .add(new SurveySeasonDto.MistakenInSeason(
                                    row.getInt("season"), row.getBoolean("own"), row.getInt("trees")));
                });
        SheetNames names = new SheetNames(library.newest());
        return found.entrySet().stream()
                .limit(MOST)
                .map(one -> new SurveySeasonDto.MistakenPair(
                        one.getKey().groupId(),
                        one.getKey().first(),
                        one.getKey().second(),
                        names.taxon(one.getKey().groupId(), one.getKey().first()),
                        names.taxon(one.getKey().groupId(), one.getKey().second()),
                        one.getValue()))
                .toList();
    }
}
