package org.goldthistle.review;

import java.time.Instant;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Carries reviews on for those who are not at a page: by the same rules. */
@Service
public class ReviewArchive {
    private final ReviewService reviews;
    private final CaseRepository cases;
    private final SignedCalls calls;
    private final TreeService trees;

    ReviewArchive(ReviewService reviews, CaseRepository cases, SignedCalls calls, TreeService trees) {
        this.reviews = reviews;
        this.cases = cases;
        this.calls = calls;
        this.trees = trees;
    }

    /** An observer takes a case up to read its tree blind. */
    @Transactional
    public void take(UUID surveyId, UUID caseId, SignedInObserver by) {
        reviews.take(surveyId, caseId, by, true);
    }

    /** An observer says something of a case. */
    @Transactional
    public void say(UUID surveyId, UUID caseId, UUID wordId, SignedInObserver by, String body, Instant at) {
        reviews.say(surveyId, caseId, wordId, by, new NewWord(null, body), at);
    }

    /**
     * An observer decides a case.
     *
     * @param outcome agree, in favour of the first reader's call; or overrule, third-look, laboratory, not-separable
     */
    @Transactional
    public void decide(
            UUID surveyId,
            UUID caseId,
            UUID decisionId,
            SignedInObserver by,
            String outcome,
            String reasons,
            Instant at) {
        ReviewCase found = cases.findBySurveyIdAndId(surveyId, caseId).orElseThrow();
        SurveyedTree tree = trees.tree(surveyId, found.treeId(), by.id());
        SignedCall first = calls.of(tree).get(0);
        reviews.decide(
                surveyId,
                caseId,
                decisionId,
                by,
                new NewDecision(outcome, first.id(), null, reasons, found.version()),
                at);
    }

    /** A lead marks what stands by a settled case as verified. */
    @Transactional
    public void verify(UUID surveyId, UUID caseId, UUID id, SignedInObserver by) {
        reviews.verify(surveyId, caseId, id, by, true);
    }
}
