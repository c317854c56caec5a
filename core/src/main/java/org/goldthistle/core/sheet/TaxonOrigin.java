package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** How a taxon came to the sheet's region. */
public enum TaxonOrigin implements Coded {
    /** Native. */
    NATIVE("native"),
    /** Brought in. */
    INTRODUCED("introduced"),
    /** Brought in and spreading. */
    INVASIVE("invasive");

    private final String code;

    TaxonOrigin(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
