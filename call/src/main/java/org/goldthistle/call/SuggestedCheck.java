package org.goldthistle.call;

import org.goldthistle.core.plan.NextCheck;

/**
 * A check that is still worth making, the most promising for its effort first.
 *
 * @param seeds how promising at a glance, 0-4
 * @param chanceToSettle that some taxon reaches the threshold by it, in [0, 1]
 * @param forTheQuorum whether it comes first because only the agreement of organs lacks
 * @param comesLast whether the observer lacks what it asks for
 */
public record SuggestedCheck(
        String character, int seeds, double chanceToSettle, boolean forTheQuorum, boolean comesLast) {
    public static SuggestedCheck of(NextCheck check) {
        return new SuggestedCheck(
                check.character().id(), check.seeds(), check.chanceToSettle(), check.comesFirst(), check.comesLast());
    }
}
