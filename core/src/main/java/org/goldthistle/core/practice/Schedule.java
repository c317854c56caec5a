package org.goldthistle.core.practice;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What an observer practises next: section 14. The pair of which the most has slipped, twice as urgent where a call of theirs
 * between the two was overruled.
 */
public final class Schedule {
    /** Minutes of checks that a day gives; more teaches less than a night's sleep. */
    public static final int MINUTES_A_DAY = 60;

    private static final double OVERRULED = 2;

    private Schedule() {}

    /** Two taxa of a group. */
    public record Of(String group, Pair pair) {}

    /**
     * The pair that is due.
     *
     * @param remembered by item
     * @param overruled between which calls of the observer's were overruled
     * @param today in days of the same calendar
     * @return empty: nothing is due
     */
    public static Optional<Of> next(Map<Item, Remembered> remembered, Set<Of> overruled, double today) {
        Map<Of, Double> slipped = new LinkedHashMap<>();
        Map<Of, Double> seen = new LinkedHashMap<>();
        remembered.forEach((item, kept) -> {
            var of = new Of(item.group(), item.pair());
            double by = kept.slipped(today) * (overruled.contains(of) ? OVERRULED : 1);
            slipped.merge(of, by, Double::sum);
            seen.merge(of, kept.day(), Math::max);
        });
        return slipped.entrySet().stream()
                .filter(one -> one.getValue() > 0)
                .max(Comparator.comparingDouble(Map.Entry<Of, Double>::getValue)
                        .thenComparing(one -> -seen.get(one.getKey()))
                        .thenComparing(one -> one.getKey().toString(), Comparator.reverseOrder()))
                .map(Map.Entry::getKey);
    }

    /**
     * The pair that was not seen for the longest, those never seen first, in the order in which they are given.
     *
     * @param pairs among which
     * @return empty: there are none
     */
    public static Optional<Of> longestNotSeen(List<Of> pairs, Map<Item, Remembered> remembered) {
        Map<Of, Double> seen = new LinkedHashMap<>();
        remembered.forEach((item, kept) -> seen.merge(new Of(item.group(), item.pair()), kept.day(), Math::max));
        return pairs.stream()
                .min(Comparator.comparingDouble(pair -> seen.getOrDefault(pair, Double.NEGATIVE_INFINITY)));
    }
}
