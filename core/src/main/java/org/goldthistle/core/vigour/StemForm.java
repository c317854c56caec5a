package org.goldthistle.core.vigour;

import org.goldthistle.core.Coded;

/** How a stem grows. */
public enum StemForm implements Coded {
    /** One straight stem. */
    STRAIGHT("straight"),
    /** Bent or leaning. */
    CROOKED("crooked"),
    /** Parted into two or more. */
    FORKED("forked"),
    /** Several from one stool. */
    COPPICED("coppiced"),
    /** Its top is gone. */
    BROKEN("broken");

    private final String code;

    StemForm(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
