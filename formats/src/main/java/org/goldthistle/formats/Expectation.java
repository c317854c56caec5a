package org.goldthistle.formats;

import org.goldthistle.core.Coded;

/** What a good expert would do with a worked specimen's readings alone. */
public enum Expectation implements Coded {
    /** Sign the species. */
    CLEAR("clear"),
    /** Not sign it. */
    CONTESTED("contested");

    private final String code;

    Expectation(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
