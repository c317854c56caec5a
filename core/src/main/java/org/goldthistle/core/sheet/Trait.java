package org.goldthistle.core.sheet;

import java.util.List;
import org.goldthistle.core.Coded;

/**
 * Something that anybody sees on a tree before knowing its group, with the answers that can be given: what parts
 * groups from each other, not the taxa of one.
 */
public enum Trait implements Coded {
    /** What the foliage is made of. */
    FOLIAGE("foliage", "broad", "single-needles", "needle-tufts"),
    /** How leaves or buds stand on the twig. */
    LEAF_SET("leaf-set", "singly", "pairs"),
    /** Whether there are thorns anywhere. */
    THORNS("thorns", "none", "some"),
    /** The blade of a broad leaf. */
    BLADE("blade", "undivided", "lobed"),
    /** What covers a winter bud. */
    BUD("bud", "scales", "one-cap", "naked"),
    /** What it bears, or what is left of it under the tree. */
    FRUIT(
            "fruit",
            "conifer-cones",
            "small-woody-cones",
            "crumbling-catkins",
            "berries-in-tails",
            "berries",
            "haws",
            "nuts-on-a-wing",
            "woolly-capsules");

    private final String code;
    private final List<String> answers;

    Trait(String code, String... answers) {
        this.code = code;
        this.answers = List.of(answers);
    }

    @Override
    public String code() {
        return code;
    }

    /** The codes of its answers. */
    public List<String> answers() {
        return answers;
    }
}
