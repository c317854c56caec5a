package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** The part of the tree, or its place, that a character is read from. */
public enum Organ implements Coded {
    /** Outline and stance of the whole tree. */
    HABIT("habit"),
    /** Bark of stem and branches. */
    BARK("bark"),
    /** Young twigs. */
    TWIG("twig"),
    /** Buds. */
    BUD("bud"),
    /** Leaves and needles. */
    LEAF("leaf"),
    /** Flowers and flowering. */
    FLOWER("flower"),
    /** Fruit and seed. */
    FRUIT("fruit"),
    /** Cones and cone-like fruit. */
    CONE("cone"),
    /** Wood, pith and inner bark. */
    WOOD("wood"),
    /** Roots and suckers. */
    ROOT("root"),
    /** Scent. */
    SMELL("smell"),
    /** The place, not the tree: never counted among the tree's own features. */
    SITE("site"),
    /** An organism that lives on the tree and tells its host: gall, rust, leaf mine, canker. */
    ASSOCIATE("associate");

    private final String code;

    Organ(String code) {
        this.code = code;
    }

    /**
     * Whether a tree bears it at times and, when it bears none, shows nothing of it at all: what is read from one flower
     * is lost with all of them.
     */
    public boolean isBorne() {
        return this == FLOWER || this == FRUIT || this == CONE;
    }

    @Override
    public String code() {
        return code;
    }
}
