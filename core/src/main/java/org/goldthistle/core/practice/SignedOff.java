package org.goldthistle.core.practice;

import java.util.List;
import org.goldthistle.core.Refusals;

/**
 * What a survey asks for before somebody's names count by themselves: so many practice trees called rightly of so many in a
 * row, and none of those called an invader that it is not.
 *
 * @param needed at least 0; 0: nothing is asked
 * @param of from 1 to {@value #MOST}, and no fewer than needed
 */
public record SignedOff(int needed, int of) {
    /** The most that are asked for. */
    public static final int MOST = 100;

    /** What is asked for where nobody says otherwise. */
    public static final SignedOff USUAL = new SignedOff(18, 20);

    /** @throws org.goldthistle.core.RefusedException if the numbers do not go together */
    public SignedOff {
        var refusals = new Refusals();
        refusals.require(of >= 1 && of <= MOST, "of", of, "1 to " + MOST);
        refusals.require(needed >= 0 && needed <= of, "needed", needed, "0 to as many as are practised in a row");
        refusals.throwIfAny();
    }

    /** A try: whether it was called rightly, and whether it was called an invader that it is not. */
    public record Tried(boolean right, boolean falseAlarm) {}

    /** The most right among so many in a row without a false alarm; where there were fewer, among all of them. */
    public int best(List<Tried> tries) {
        int best = 0;
        for (int from = 0; from == 0 || from + of <= tries.size(); from++) {
            List<Tried> row = tries.subList(from, Math.min(tries.size(), from + of));
            if (row.stream().noneMatch(Tried::falseAlarm)) {
                best = Math.max(best, (int) row.stream().filter(Tried::right).count());
            }
        }
        return best;
    }

    /** Whether that is enough. */
    public boolean isPassed(List<Tried> tries) {
        return needed == 0 || tries.size() >= of && best(tries) >= needed;
    }
}
