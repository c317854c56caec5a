package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** What a check does to the tree, gentlest first. */
public enum Harm implements Coded {
    /** Nothing is taken. */
    NONE("none"),
    /** A leaf or twig is taken. */
    SAMPLE("sample"),
    /** Bark is cut or peeled, or a twig split on the tree. */
    WOUND("wound");

    private final String code;

    Harm(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
