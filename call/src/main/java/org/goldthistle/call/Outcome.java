package org.goldthistle.call;

import org.goldthistle.core.Coded;

/** What can be signed of a tree. */
public enum Outcome implements Coded {
    /** The taxon it is. */
    TAXON("taxon"),
    /** Only the group: it cannot be parted further. */
    GROUP("group"),
    /** Not today: a month that can settle it. */
    COME_BACK("come-back"),
    /** A sample goes to the laboratory. */
    LABORATORY("laboratory");

    private final String code;

    Outcome(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
