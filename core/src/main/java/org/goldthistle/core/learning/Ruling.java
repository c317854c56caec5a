package org.goldthistle.core.learning;

import org.goldthistle.core.Coded;

/** What comes of a trial. */
public enum Ruling implements Coded {
    /** On trees that it was not made from, the truth is believed more, by more than chance. */
    ACCEPT("accept"),
    /** Too few trees are verified for anything to be tried. */
    TOO_FEW("not-enough-trees"),
    /** The truth is not believed more, or by no more than chance. */
    NO_GAIN("no-gain");

    private final String code;

    Ruling(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
