package org.goldthistle.core.sheet;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.Refusals;

/**
 * What members of a group show at the first look.
 *
 * @param shown the answers that members may give, by trait; a trait that is not listed is not spoken of
 */
public record FirstLook(Map<Trait, List<String>> shown) {
    /** A sheet that says nothing. */
    public static final FirstLook SILENT = new FirstLook(Map.of());

    /** @throws org.goldthistle.core.RefusedException if a trait has no answer, or one that is not among its answers */
    public FirstLook {
        Map<Trait, List<String>> copy = new EnumMap<>(Trait.class);
        var refusals = new Refusals();
        shown.forEach((trait, answers) -> {
            refusals.require(!answers.isEmpty(), trait.code(), answers, "one or more of " + trait.answers());
            for (String answer : answers) {
                refusals.require(
                        trait.answers().contains(answer), trait.code(), answer, "one or more of " + trait.answers());
            }
            copy.put(trait, List.copyOf(answers));
        });
        refusals.throwIfAny();
        shown = Collections.unmodifiableMap(copy);
    }

    /** Whether a tree that shows an answer may belong to the group. */
    public boolean allows(Trait trait, String answer) {
        List<String> own = shown.get(trait);
        return own == null || own.contains(answer);
    }
}
