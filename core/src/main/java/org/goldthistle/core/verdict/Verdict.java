package org.goldthistle.core.verdict;

import org.goldthistle.core.Coded;

/** Whether the evidence carries a call: section 8. */
public enum Verdict implements Coded {
    /** All of the tier's conditions on the evidence hold. */
    SIGNABLE("signable"),
    /** Not yet, but some check has a fair chance to settle it. */
    OPEN("open"),
    /** Not today. */
    UNSETTLED("unsettled");

    private final String code;

    Verdict(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
