package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** How often a taxon is met in the sheet's region, and whether the law protects it. */
public enum Standing implements Coded {
    /** Common. */
    COMMON("common"),
    /** Common in places. */
    LOCAL("local"),
    /** Scarce. */
    SCARCE("scarce"),
    /** Protected. */
    PROTECTED("protected");

    private final String code;

    Standing(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
