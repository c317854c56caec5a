package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** The sense a character is read with. */
public enum Sense implements Coded {
    /** Sight. */
    SIGHT("sight"),
    /** Touch. */
    TOUCH("touch"),
    /** Smell. */
    SMELL("smell"),
    /** Hearing. */
    HEARING("hearing");

    private final String code;

    Sense(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
