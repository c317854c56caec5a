package org.goldthistle.library;

import org.goldthistle.core.Coded;

/** What a character is read as. */
enum CharacterKind implements Coded {
    /** States, in no order. */
    STATES("states"),
    /** States that follow each other. */
    ORDERED("ordered"),
    /** Counted. */
    COUNT("count"),
    /** Measured. */
    LENGTH("length"),
    /** One measure divided by another. */
    RATIO("ratio"),
    /** Measured in degrees. */
    ANGLE("angle");

    private final String code;

    CharacterKind(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
