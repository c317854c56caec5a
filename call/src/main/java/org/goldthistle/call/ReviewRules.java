package org.goldthistle.call;

import java.util.EnumSet;
import java.util.Set;
import java.util.function.BooleanSupplier;
import org.goldthistle.core.verdict.Tier;

/** What comes to review. */
public final class ReviewRules {
    private ReviewRules() {}

    /**
     * A call as it was signed.
     *
     * @param tier that it was signed for
     * @param contested whether there was a reason to contest it, or another call of the tree names another taxon
     * @param matters whether it leads to a hybrid, a scarce, protected or invasive taxon
     * @param unproven whether its reader has not practised the group as the survey asks
     */
    public record Signed(Outcome outcome, Tier tier, boolean contested, boolean matters, boolean unproven) {}

    /**
     * Why a call is reviewed; empty: it is not.
     *
     * @param drawn whether the lot falls on the tree; asked only where it decides
     */
    public static Set<CaseReason> reasons(Signed call, BooleanSupplier drawn) {
        Set<CaseReason> reasons = EnumSet.noneOf(CaseReason.class);
        boolean named = call.outcome() == Outcome.TAXON;
        if (!named && call.outcome() != Outcome.GROUP) {
            return reasons; // somebody comes back, or a sample is on its way
        }
        if (call.contested()) {
            reasons.add(CaseReason.CONTESTED);
        }
        if (named && call.tier() == Tier.CONTROL) {
            reasons.add(CaseReason.CONTROL);
        } else if (named && call.tier() == Tier.RECORD && call.matters()) {
            reasons.add(CaseReason.TIER);
        }
        if (named && call.unproven()) {
            reasons.add(CaseReason.PRACTICE);
        }
        if (reasons.isEmpty() && named && drawn.getAsBoolean()) {
            reasons.add(CaseReason.DRAWN);
        }
        return reasons;
    }
}
