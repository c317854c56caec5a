package org.goldthistle.account;

import org.goldthistle.core.Coded;

/** What an observer may do. */
public enum Role implements Coded {
    /** Takes a last look at approved trees before they are cut, and sees their cards alone. */
    CONTRACTOR("contractor"),
    /** Reads and calls trees. */
    CREW("crew"),
    /** Reads trees blind and settles calls. */
    REVIEWER("reviewer"),
    /** Keeps surveys and people. */
    LEAD("lead");

    private final String code;

    Role(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
