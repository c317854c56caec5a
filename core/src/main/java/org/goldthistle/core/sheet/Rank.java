package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** What kind of taxon it is. */
public enum Rank implements Coded {
    /** A species. */
    SPECIES("species"),
    /** A cross of two taxa of the same sheet. */
    HYBRID("hybrid"),
    /** Several taxa taken as one. */
    AGGREGATE("aggregate");

    private final String code;

    Rank(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
