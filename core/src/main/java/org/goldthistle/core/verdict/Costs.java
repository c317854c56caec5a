package org.goldthistle.core.verdict;

import org.goldthistle.core.Refusals;

/**
 * What a survey loses by mistakes, in any one unit; they set p* to {@code wrongYes/(wrongYes + wrongNo)}, where saying
 * yes and saying no are expected to lose the same.
 *
 * @param wrongYes by naming a taxon that it is not, above 0
 * @param wrongNo by not naming the taxon that it is, above 0
 */
public record Costs(double wrongYes, double wrongNo) {
    /** @throws org.goldthistle.core.RefusedException if one is not above 0 */
    public Costs {
        var refusals = new Refusals();
        refusals.require(wrongYes > 0 && Double.isFinite(wrongYes), "wrongYes", wrongYes, "a cost above 0");
        refusals.require(wrongNo > 0 && Double.isFinite(wrongNo), "wrongNo", wrongNo, "a cost above 0");
        refusals.throwIfAny();
    }

    /** p* at a tier: never below the tier's own where more than a tally is at stake. */
    public double threshold(Tier tier) {
        double byCost = wrongYes / (wrongYes + wrongNo);
        return tier == Tier.TALLY ? byCost : Math.max(byCost, tier.threshold());
    }
}
