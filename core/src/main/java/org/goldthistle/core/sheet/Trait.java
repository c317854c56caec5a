package org.goldthistle.core.sheet;

import java.util.List;
import java.util.Set;
import org.goldthistle.core.Coded;

/**
 * Something that anybody sees on a tree before knowing its group, with the answers that can be given: what parts
 * groups from each other, not the taxa of one.
 */
public enum Trait implements Coded {
    /** What the foliage is made of. */
    FOLIAGE("foliage", Months.ALL, "broad", "single-needles", "needle-tufts", "needle-bundles"),
    /** How leaves or buds stand on the twig. */
    LEAF_SET("leaf-set", Months.ALL, "singly", "pairs"),
    /** Whether there are thorns anywhere. */
    THORNS("thorns", Months.ALL, "none", "some"),
    /** The blade of a broad leaf. */
    BLADE("blade", Set.of(5, 6, 7, 8, 9, 10), "undivided", "lobed", "leaflets"),
    /** What covers a winter bud. */
    BUD("bud", Set.of(9, 10, 11, 12, 1, 2, 3), "scales", "one-cap", "naked"),
    /** What it bears, or what is left of it under the tree. */
    FRUIT(
            "fruit",
            Set.of(6, 7, 8, 9, 10, 11),
            "conifer-cones",
            "small-woody-cones",
            "crumbling-catkins",
            "berries-in-tails",
            "berries",
            "haws",
            "nuts-on-a-wing",
            "woolly-capsules",
            "acorns",
            "winged-keys",
            "capsules-with-down",
            "pomes");

    private final String code;
    private final Set<Integer> months;
    private final List<String> answers;

    Trait(String code, Set<Integer> months, String... answers) {
        this.code = code;
        this.months = months;
        this.answers = List.of(answers);
    }

    @Override
    public String code() {
        return code;
    }

    /** Whether most trees show it in a month, 1-12. */
    public boolean isShownIn(int month) {
        return months.contains(month);
    }

    /** The codes of its answers. */
    public List<String> answers() {
        return answers;
    }

    private static final class Months {
        static final Set<Integer> ALL = Set.of(1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12);
    }
}
