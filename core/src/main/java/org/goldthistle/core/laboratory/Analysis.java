package org.goldthistle.core.laboratory;

import org.goldthistle.core.Coded;

/** What a laboratory does with a sample. */
public enum Analysis implements Coded {
    /** Counts sets of chromosomes, by flow cytometry. */
    PLOIDY("ploidy"),
    /** Tells how much of each of two parents there is, by markers. */
    MARKERS("markers"),
    /** Names a taxon by a sequence. */
    SEQUENCE("sequence");

    private final String code;

    Analysis(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
