package org.goldthistle.exchange;

import org.goldthistle.core.Coded;

/** Formats of plots and trees that are read. */
enum FileFormat implements Coded {
    /** A table. */
    CSV("csv"),
    /** A map. */
    GEOJSON("geojson");

    private final String code;

    FileFormat(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
