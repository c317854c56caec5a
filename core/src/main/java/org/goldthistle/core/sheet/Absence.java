package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** Whether not seeing a thing tells much. */
public enum Absence implements Coded {
    /** It tells as much as seeing it. */
    INFORMATIVE("informative"),
    /** It tells little: no thorns, no fruit, the wrong month. */
    WEAK("weak");

    private final String code;

    Absence(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
