package org.goldthistle.quality;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Counts how trees fared that were approved for control: what was held back at the last moment, and what was cut wrongly. */
@Component
class ControlQuality {
    private static final String LAST_WORK =
            " from (select distinct on (tree_id) tree_id, what, done_on from control_work"
                    + " where survey_id = :survey order by tree_id, entry_order desc) w";

    private final JdbcClient jdbc;

    ControlQuality(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @return empty: nobody has looked at a tree before it was cut, and nothing was done */
    Optional<AgreementDto.ControlFared> of(UUID surveyId, UUID observerId) {
        record Looks(int looks, int heldBack) {}
        Looks looks = jdbc.sql("select count(*) looks, count(*) filter (where verdict = 'do-not-cut') held_back from"
                        + " (select distinct on (tree_id) tree_id, verdict from last_look where survey_id = :survey"
                        + " order by tree_id, entry_order desc) l")
                .param("survey", surveyId)
                .query(Looks.class)
                .single();
        int done = jdbc.sql("select count(*)" + LAST_WORK)
                .param("survey", surveyId)
                .query(Integer.class)
                .single();
        if (looks.looks() == 0 && done == 0) {
            return Optional.empty();
        }
        return Optional.of(
                new AgreementDto.ControlFared(looks.looks(), looks.heldBack(), done, wrong(surveyId, observerId)));
    }

    private List<AgreementDto.WrongTree> wrong(UUID surveyId, UUID observerId) {
        return jdbc.sql("select t.id tree_id, p.id plot_id, p.code plot_code, t.tag, w.done_on" + LAST_WORK
                        + " join tree t on t.id = w.tree_id join plot p on p.id = t.plot_id"
                        + " where w.what = 'wrong-tree' and " + SurveyedTree.SHOWN
                        + " order by w.done_on, p.code, t.tag")
                .param("survey", surveyId)
                .param("observer", observerId)
                .query((row, i) -> new AgreementDto.WrongTree(
                        row.getObject("tree_id", UUID.class),
                        row.getObject("plot_id", UUID.class),
                        row.getString("plot_code"),
                        row.getInt("tag"),
                        row.getDate("done_on").toLocalDate()))
                .list();
    }
}
