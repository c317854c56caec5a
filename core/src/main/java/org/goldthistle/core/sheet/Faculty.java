package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** What a check asks of an observer that some people do not have. */
public enum Faculty implements Coded {
    /** Smelling. */
    SMELL("smell"),
    /** Telling red from green and brown. */
    RED_GREEN("red-green");

    private final String code;

    Faculty(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
