package org.goldthistle.survey;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Surveys and their trees; nobody sees a survey that they do not belong to. */
@Service
public class SurveyService {
    private final SurveyRepository surveys;
    private final PlotRepository plots;
    private final TreeRepository trees;

    SurveyService(SurveyRepository surveys, PlotRepository plots, TreeRepository trees) {
        this.surveys = surveys;
        this.plots = plots;
        this.trees = trees;
    }

    /** Makes a survey with its members. */
    @Transactional
    public void createSurvey(UUID id, String name, String district, int season, Set<UUID> members) {
        surveys.save(new Survey(id, name, district, season, members));
    }

    /** Makes a plot of a survey. */
    @Transactional
    public void createPlot(UUID id, UUID surveyId, String code) {
        plots.save(new Plot(id, surveys.getReferenceById(surveyId), code));
    }

    /** Records a stem of a plot. */
    @Transactional
    public void createTree(UUID plotId, NewTree tree) {
        trees.save(new Tree(plots.getReferenceById(plotId), tree));
    }

    @Transactional(readOnly = true)
    List<Survey> surveysOf(UUID observerId) {
        return surveys.findOf(observerId);
    }

    /**
     * Changes what a survey allows.
     *
     * @throws Problem if the observer does not belong to the survey, or is no lead
     */
    @Transactional
    Survey change(UUID surveyId, SignedInObserver observer, boolean wounding, boolean photoPosition) {
        requireMember(surveyId, observer.id());
        if (observer.role() != Role.LEAD) {
            throw Problem.forbidden(
                    "lead-only", "Only a lead changes what a survey allows. Nothing was changed; ask your lead.");
        }
        Survey survey = surveys.getReferenceById(surveyId);
        survey.change(wounding, photoPosition);
        return survey;
    }

    /**
     * The trees of a survey by plot and tag.
     *
     * @throws Problem if the observer does not belong to the survey
     */
    @Transactional(readOnly = true)
    public List<SurveyedTree> trees(UUID surveyId, UUID observerId) {
        requireMember(surveyId, observerId);
        return trees.findOfSurvey(surveyId).stream().map(Tree::surveyed).toList();
    }

    /**
     * One tree of a survey.
     *
     * @throws Problem if the observer does not belong to the survey, or the tree does not
     */
    @Transactional(readOnly = true)
    public SurveyedTree tree(UUID surveyId, UUID treeId, UUID observerId) {
        requireMember(surveyId, observerId);
        return trees.findInSurvey(surveyId, treeId)
                .orElseThrow(() -> Problem.missing(
                        "no-such-tree",
                        "This survey has no such tree; it may belong to another one. Nothing was stored. Open the tree"
                                + " from its own survey's list."))
                .surveyed();
    }

    private void requireMember(UUID surveyId, UUID observerId) {
        if (!surveys.isMember(surveyId, observerId)) {
            throw Problem.missing(
                    "no-such-survey",
                    "There is no such survey, or you do not belong to it. Nothing was stored. Ask its lead to add you.");
        }
    }
}
