package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** What a numeric character measures. */
public enum Measure implements Coded {
    /** A whole number. */
    COUNT("count"),
    /** A length in millimetres. */
    LENGTH("length"),
    /** A ratio, without unit. */
    RATIO("ratio"),
    /** An angle in degrees. */
    ANGLE("angle");

    private final String code;

    Measure(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
