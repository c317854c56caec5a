package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** How far grown the tree is. */
public enum LifeStage implements Coded {
    /** Seedling. */
    SEEDLING("seedling"),
    /** Sapling. */
    SAPLING("sapling"),
    /** Pole. */
    POLE("pole"),
    /** Mature. */
    MATURE("mature");

    private final String code;

    LifeStage(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
