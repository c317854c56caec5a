package org.goldthistle.core.vigour;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.goldthistle.core.Refusals;

/**
 * How a tree does.
 *
 * @param leaders lengths of the last leaders in mm, the youngest first, at most three; may be empty
 * @param dieback of the crown, 0 (none) to 4 (nearly all); empty: not looked at
 * @param crown empty: not looked at
 * @param form empty: not looked at
 * @param damages may be empty
 * @param dead whether it is
 */
public record Vigour(
        List<Integer> leaders,
        OptionalInt dieback,
        Optional<CrownClass> crown,
        Optional<StemForm> form,
        Set<Damage> damages,
        boolean dead) {

    private static final int MOST_YEARS = 3;
    private static final int LONGEST = 3000; // mm in one year; no leader here is longer
    private static final int WORST = 4;

    /** @throws org.goldthistle.core.RefusedException with everything that cannot be true */
    public Vigour {
        leaders = List.copyOf(leaders);
        damages = Set.copyOf(damages);
        var refusals = new Refusals();
        refusals.require(leaders.size() <= MOST_YEARS, "leaders", leaders.size(), "at most three years");
        for (int i = 0; i < leaders.size(); i++) {
            refusals.require(
                    leaders.get(i) >= 0 && leaders.get(i) <= LONGEST,
                    "leaders[" + i + "]",
                    leaders.get(i),
                    "0 to 3000 mm; a year’s length, not the height at its end");
        }
        int crownLost = dieback.orElse(0);
        refusals.require(crownLost >= 0 && crownLost <= WORST, "dieback", crownLost, "0 (none) to 4 (nearly all)");
        refusals.throwIfAny();
    }

    /**
     * Whether the leaders look as if heights had been noted instead of lengths, or the years the other way round: each of
     * three is at least half as long again as the one that was noted before it. It is asked once, and kept if it is meant.
     */
    public boolean seemsBackwards() {
        if (leaders.size() < MOST_YEARS) {
            return false;
        }
        boolean growing = true;
        for (int i = 1; i < leaders.size(); i++) {
            growing &= leaders.get(i) >= 1.5 * leaders.get(i - 1) && leaders.get(i) > 0;
        }
        return growing;
    }
}
