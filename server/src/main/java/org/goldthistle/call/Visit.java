package org.goldthistle.call;

import java.util.ArrayList;
import java.util.List;
import org.springframework.lang.Nullable;

/**
 * The visit to a tree that is in hand, after those before it.
 *
 * @param circumstances of the tree, in the month of this visit
 * @param earlierMonths of the visits before, 1-12, in their order
 */
record Visit(Circumstances circumstances, List<Integer> earlierMonths) {

    /** A tree's first visit. */
    static Visit first(Circumstances circumstances) {
        return new Visit(circumstances, List.of());
    }

    /** The same tree visited in another month; what was read before keeps the month of its own. */
    Visit in(int month) {
        if (month == circumstances.month()) {
            return this;
        }
        var months = new ArrayList<>(earlierMonths);
        months.add(circumstances.month());
        return new Visit(circumstances.inMonth(month), List.copyOf(months));
    }

    /** The month of a reading that was made on a visit, counted from 0; null: that of the visit in hand. */
    @Nullable Integer monthOf(int visit) {
        return visit < earlierMonths.size() ? earlierMonths.get(visit) : null;
    }
}
