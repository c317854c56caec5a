package org.goldthistle.review;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.lang.Nullable;

/**
 * A decision.
 *
 * @param outcome agree, overrule, third-look, laboratory, laboratory-result or not-separable
 * @param stands the call that stands, for agree; null otherwise
 * @param taxon that the laboratory found, for laboratory-result; null otherwise
 * @param reasons in words; must be given to overrule, and name the report for a result
 * @param version of the case that was looked at
 */
record NewDecision(
        @NotNull @CodeOf(ReviewOutcome.class) String outcome,
        @Nullable UUID stands,
        @Nullable String taxon,
        @NotNull @Size(max = 4000) String reasons,
        @NotNull Integer version) {

    /** @throws Problem if it is no way to decide */
    ReviewOutcome how() {
        return Coded.find(ReviewOutcome.DECISIONS, outcome)
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NO_SUCH_OUTCOME,
                        "A review ends with " + Coded.codes(ReviewOutcome.DECISIONS) + ", but \"" + outcome
                                + "\" was sent. Nothing was changed."));
    }

    boolean is(ReviewOutcome one) {
        return how() == one;
    }
}
