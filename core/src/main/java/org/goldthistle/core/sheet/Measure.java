package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** What a numeric character measures. */
public enum Measure implements Coded {
    /** A whole number. */
    COUNT("count", ""),
    /** A length in millimetres. */
    LENGTH("length", "mm"),
    /** A ratio, without unit. */
    RATIO("ratio", ""),
    /** An angle in degrees. */
    ANGLE("angle", "°");

    private final String code;
    private final String sign;

    Measure(String code, String sign) {
        this.code = code;
        this.sign = sign;
    }

    /** What stands behind a figure of it: mm, °, or nothing. */
    public String sign() {
        return sign;
    }

    @Override
    public String code() {
        return code;
    }
}
