package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * The visit to a tree that is in hand, after those before it.
 *
 * @param circumstances of the tree, in the month of this visit
 * @param earlierMonths of the visits before, 1-12, in their order
 */
public record Visit(Circumstances circumstances, List<Integer> earlierMonths) {

    /** A tree's first visit. */
    public static Visit first(Circumstances circumstances) {
        return new Visit(circumstances, List.of());
    }

    /** The same tree visited in another month; what was read before keeps the month of its own. */
    public Visit in(int month) {
        if (month == circumstances.month()) {
            return this;
        }
        var months = new ArrayList<>(earlierMonths);
        months.add(circumstances.month());
        return new Visit(circumstances.inMonth(month), List.copyOf(months));
    }

    /** The same visit under other circumstances, which name its month too. */
    Visit under(Circumstances other) {
        return new Visit(other, earlierMonths);
    }

    /** Which of the tree's visits it is, counted from 0. */
    public int number() {
        return earlierMonths.size();
    }

    /** The last visit in a month, counted from 0, the one in hand among them; empty: there is none. */
    public OptionalInt lastIn(int month) {
        int last = circumstances.month() == month ? number() : earlierMonths.lastIndexOf(month);
        return last < 0 ? OptionalInt.empty() : OptionalInt.of(last);
    }

    /** The month of a reading that was made on a visit, counted from 0; null: that of the visit in hand. */
    public @Nullable Integer monthOf(int visit) {
        return visit < earlierMonths.size() ? earlierMonths.get(visit) : null;
    }
}
