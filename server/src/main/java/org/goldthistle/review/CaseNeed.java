package org.goldthistle.review;

import org.goldthistle.core.Coded;

/** What a review waits for. */
enum CaseNeed implements Coded {
    /** Somebody who has not seen the others’ calls reads the tree. */
    BLIND_READING("blind-reading"),
    /** The table decides. */
    DECISION("decision"),
    /** The laboratory answers. */
    LABORATORY("laboratory"),
    /** It is settled. */
    NOTHING("nothing");

    private final String code;

    CaseNeed(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
