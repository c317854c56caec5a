package org.goldthistle.core.key;

import java.util.ArrayList;
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

    /** Copies the lists. */
    public WhichGroup {
        remaining = List.copyOf(remaining);
        ruledOut = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(ruledOut));
    }

    /**
     * Goes through a library.
     *
     * @param answers by trait, each one of the trait's answers
     */
    public static WhichGroup of(List<GroupSheet> library, Map<Trait, String> answers) {
        List<GroupSheet> remaining = new ArrayList<>();
        Map<String, Trait> ruledOut = new LinkedHashMap<>();
        for (GroupSheet sheet : library) {
            Optional<Trait> against = answers.entrySet().stream()
                    .filter(one -> !sheet.firstLook().allows(one.getKey(), one.getValue()))
                    .map(Map.Entry::getKey)
                    .findFirst();
            against.ifPresentOrElse(trait -> ruledOut.put(sheet.id(), trait), () -> remaining.add(sheet));
        }
        return new WhichGroup(remaining, ruledOut, next(remaining, answers));
    }

    /** The open trait after whose answer the fewest groups are to be expected, the earlier at a tie. */
    private static Optional<Trait> next(List<GroupSheet> remaining, Map<Trait, String> answers) {
        Optional<Trait> best = Optional.empty();
        double fewest = remaining.size() - 1e-9; // a look that rules nothing out is none
        for (Trait trait : Trait.values()) {
            double left = answers.containsKey(trait) ? remaining.size() : expectedLeft(remaining, trait);
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
