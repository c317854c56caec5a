package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** What a check does to the tree, gentlest first. */
public enum Harm implements Coded {
    /** Nothing is taken. */
    NONE("none", 0),
    /** A leaf or twig is taken. */
    SAMPLE("sample", 0.5),
    /** Bark is cut or peeled, or a twig split on the tree. */
    WOUND("wound", 6);

    private final String code;
    private final double minutesWorth;

    Harm(String code, double minutesWorth) {
        this.code = code;
        this.minutesWorth = minutesWorth;
    }

    /** The worst that may be done to a tree. */
    public static Harm worst(boolean woundingAllowed) {
        return woundingAllowed ? WOUND : SAMPLE;
    }

    /** Whether it is allowed where this is the worst that is. */
    public boolean isWithin(Harm worst) {
        return compareTo(worst) <= 0;
    }

    @Override
    public String code() {
        return code;
    }

    /** How many minutes of work one would rather spend than do it: section 10 of {@code docs/model.md}. */
    public double minutesWorth() {
        return minutesWorth;
    }
}
