package org.goldthistle.exchange;

import org.goldthistle.core.Coded;

/** What of a survey a map shows. */
enum Layer implements Coded {
    /** A point a plot. */
    PLOTS("plots"),
    /** A point a stem. */
    TREES("trees"),
    /** Both, as they are read back. */
    BOTH("both");

    private final String code;

    Layer(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
