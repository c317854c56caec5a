package org.goldthistle.draft;

import org.goldthistle.core.Coded;

/** What a draft is begun from. */
enum DraftStart implements Coded {
    /** The newest version of its group. */
    CHANGE("change"),
    /** Another group, to become a new one like it. */
    COPY("copy"),
    /** Another group, the same in another region. */
    REGION("region"),
    /** Nothing. */
    SCRATCH("scratch");

    private final String code;

    DraftStart(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
