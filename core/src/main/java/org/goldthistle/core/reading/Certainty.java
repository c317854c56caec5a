package org.goldthistle.core.reading;

import org.goldthistle.core.Coded;

/** How sure the observer was of what they read. */
public enum Certainty implements Coded {
    /** Counts in full. */
    SURE("sure", 1),
    /** One time in four it might as well be any taxon's. */
    FAIRLY("fairly", 0.75),
    /** More often than not it might as well be any taxon's. */
    UNSURE("unsure", 0.4);

    /** What is assumed of an observer who did not say. */
    public static final Certainty ASSUMED = SURE;

    private final String code;
    private final double trust;

    Certainty(String code, double trust) {
        this.code = code;
        this.trust = trust;
    }

    @Override
    public String code() {
        return code;
    }

    /** α of section 3: the share of the reading's own likelihood; the rest is the mean over the taxa. */
    public double trust() {
        return trust;
    }
}
