package org.goldthistle.season;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.TreeStanding;
import org.goldthistle.core.Coded;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a tree was signed as in earlier seasons, for whoever asks: they do not read it blind from then on. */
@Service
class EarlierSeasons {
    private final TreeService trees;
    private final Sights sights;
    private final JdbcClient jdbc;

    EarlierSeasons(TreeService trees, Sights sights, JdbcClient jdbc) {
        this.trees = trees;
        this.sights = sights;
        this.jdbc = jdbc;
    }

    /**
     * The latest season first; of surveys of the district that the observer belongs to.
     *
     * @throws org.goldthistle.platform.Problem if there is no such tree, or the observer does not belong to the survey
     */
    @Transactional
    List<EarlierSeasonDto> of(UUID surveyId, UUID treeId, UUID observerId) {
        SurveyedTree tree = trees.tree(surveyId, treeId, observerId);
        List<EarlierSeasonDto> found = jdbc.sql("select y.season, y.name survey, t.stands_as, t.stands_name,"
                        + " t.contested, t.reviewed from tree t join plot p on p.id = t.plot_id"
                        + " join survey y on y.id = p.survey_id where y.id in (" + District.SURVEYS + ")"
                        + " and y.season < (select season from survey where id = :survey) and p.code = :plot and t.tag = :tag"
                        + " and t.clone_of is null and " + SurveyedTree.SHOWN + " order by y.season desc, y.name")
                .param("survey", surveyId)
                .param("observer", observerId)
                .param("plot", tree.plotCode())
                .param("tag", tree.tag())
                .query((row, i) -> new EarlierSeasonDto(
                        row.getInt("season"),
                        row.getString("survey"),
                        Coded.find(TreeStanding.values(), row.getString("stands_as"))
                                .orElseThrow(),
                        row.getString("stands_name"),
                        row.getBoolean("contested"),
                        row.getBoolean("reviewed")))
                .list();
        if (found.stream().anyMatch(one -> one.name() != null)) {
            sights.shownEarlier(observerId, tree.id());
        }
        return found;
    }
}
