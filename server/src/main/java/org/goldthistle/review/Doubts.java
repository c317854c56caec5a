package org.goldthistle.review;

import java.time.Instant;
import org.goldthistle.call.CaseReason;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Brings trees to review for reasons that are no signatures. */
@Service
public class Doubts {
    private final Cases cases;

    Doubts(Cases cases) {
        this.cases = cases;
    }

    /** Brings a tree to the table, where what was read faces the doubt; a review that is open has the reason from then on. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void raise(SurveyedTree tree, CaseReason reason, Instant at) {
        cases.doubt(tree, reason, at);
    }
}
