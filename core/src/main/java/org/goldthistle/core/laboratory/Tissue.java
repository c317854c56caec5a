package org.goldthistle.core.laboratory;

import org.goldthistle.core.Coded;

/** What is cut of a tree for the laboratory. */
public enum Tissue implements Coded {
    /** Young leaves or needles. */
    LEAF("leaf"),
    /** Buds, in winter. */
    BUD("bud"),
    /** A young twig. */
    TWIG("twig"),
    /** Flowers or catkins. */
    FLOWER("flower"),
    /** Fruit with its seed. */
    FRUIT("fruit"),
    /** A cone with its seed. */
    CONE("cone"),
    /** A sliver of living wood. */
    WOOD("wood");

    private final String code;

    Tissue(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
