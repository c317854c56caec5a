package org.goldthistle.core.vigour;

import org.goldthistle.core.Coded;

/** Where a crown stands among its neighbours'. */
public enum CrownClass implements Coded {
    /** Above them, light from the sides too. */
    DOMINANT("dominant"),
    /** Among the highest, light from above. */
    CODOMINANT("codominant"),
    /** Reaching in from below, little light. */
    INTERMEDIATE("intermediate"),
    /** Below them, no direct light. */
    SUPPRESSED("suppressed");

    private final String code;

    CrownClass(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
