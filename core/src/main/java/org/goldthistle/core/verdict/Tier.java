package org.goldthistle.core.verdict;

import org.goldthistle.core.Coded;

/** What a call is for, and so how sure it must be: section 6. The cost of being wrong is lopsided. */
public enum Tier implements Coded {
    /** A name in a list. */
    TALLY("tally", 0.90, 2),
    /** A record that others will rely on. */
    RECORD("record", 0.95, 2),
    /** Felling, treatment, removal. */
    CONTROL("control", 0.99, 3);

    private final String code;
    private final double threshold;
    private final int quorum;

    Tier(String code, double threshold, int quorum) {
        this.code = code;
        this.threshold = threshold;
        this.quorum = quorum;
    }

    @Override
    public String code() {
        return code;
    }

    /** p*: the belief in the lead that is asked for, unless the survey's costs say otherwise. */
    public double threshold() {
        return threshold;
    }

    /** q: the organs that must agree; at the tally shown, not asked. */
    public int quorum() {
        return quorum;
    }

    /** Whether the call must hold from the tree's features alone, whatever its surroundings say. */
    public boolean isDecidedOnFeaturesAlone() {
        return this != TALLY;
    }
}
