package org.goldthistle.core.key;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Trait;

/**
 * What is left of a library after a few first looks at a tree, and what to look at next.
 *
 * @param remaining sheets that every answer allows, in the library's order
 * @param ruledOut the trait that speaks against each of the others, by group
 * @param next the trait that narrows what remains the most; empty: no further look parts them
 */
public record WhichGroup(List<GroupSheet> remaining, Map<String, Trait> ruledOut, Optional<Trait> next) {
    /** On how many trees what is out of season can be told all the same, from what is left of it: a guess. */
    private static final double SHOWN_OUT_OF_SEASON = 0.25;

    /** Copies the lists. */
    public WhichGroup {
        remaining = List.copyOf(remaining);
        ruledOut = Collections.unmodifiableMap(new LinkedHashMap<>(ruledOut));
    }

    /**
     * Goes through a library.
     *
     * @param answers by trait, each one of the trait's answers
     * @param month of the look, 1-12
     */
    public static WhichGroup of(List<GroupSheet> library, Map<Trait, String> answers, int month) {
        List<GroupSheet> remaining = new ArrayList<>();
        Map<String, Trait> ruledOut = new LinkedHashMap<>();
        for (GroupSheet sheet : library) {
            Optional<Trait> against = answers.entrySet().stream()
                    .filter(one -> !sheet.firstLook().allows(one.getKey(), one.getValue()))
                    .map(Map.Entry::getKey)
                    .findFirst();
            against.ifPresentOrElse(trait -> ruledOut.put(sheet.id(), trait), () -> remaining.add(sheet));
        }
        return new WhichGroup(remaining, ruledOut, next(remaining, answers, month));
    }

    /** The open trait after whose answer the fewest groups are to be expected, the earlier at a tie. */
    private static Optional<Trait> next(List<GroupSheet> remaining, Map<Trait, String> answers, int month) {
        Optional<Trait> best = Optional.empty();
        double fewest = remaining.size() - 1e-9; // a look that rules nothing out is none
        for (Trait trait : Trait.values()) {
            double told = trait.isShownIn(month) ? 1 : SHOWN_OUT_OF_SEASON;
            double left = answers.containsKey(trait)
                    ? remaining.size()
                    : told * expectedLeft(remaining, trait) + (1 - told) * remaining.size();
            if (left < fewest) {
                fewest = left;
                best = Optional.of(trait);
            }
        }
        return best;
    }

    /** Groups left on average, if the tree is of each group alike often and shows each of its answers alike often. */
    private static double expectedLeft(List<GroupSheet> remaining, Trait trait) {
        double expected = 0;
        for (GroupSheet truth : remaining) {
            List<String> shown = truth.firstLook().shown().getOrDefault(trait, trait.answers());
            for (String answer : shown) {
                long left = remaining.stream()
                        .filter(sheet -> sheet.firstLook().allows(trait, answer))
                        .count();
                expected += (double) left / shown.size() / remaining.size();
            }
        }
        return expected;
    }
}
