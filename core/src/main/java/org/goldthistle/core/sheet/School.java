package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** A school of practice: which characters it trusts more. */
public enum School implements Coded {
    /** Trusts bold marks: habit, bark, size, colour. */
    FIELD_MARKS("field-marks"),
    /** Distrusts size, habit and litter; trusts hairs, glands, counts, sections. */
    CLOSE_CHARACTERS("close-characters");

    private final String code;

    School(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
