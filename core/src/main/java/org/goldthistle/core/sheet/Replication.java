package org.goldthistle.core.sheet;

import org.goldthistle.core.Refusals;

/**
 * How many leaves, cones … make a fair reading, and how alike those of one tree are.
 *
 * @param replicates 1-100; 1 is a single look at the whole tree
 * @param likeness intraclass correlation in [0, 1]: at 0.9 a second leaf tells almost nothing new
 */
public record Replication(int replicates, double likeness) {
    /** Nobody looks at more, and each is drawn when a season is played. */
    private static final int MOST = 100;

    /** @throws org.goldthistle.core.RefusedException if a figure lies outside its range */
    public Replication {
        var refusals = new Refusals();
        refusals.require(
                replicates >= 1 && replicates <= MOST, "replicates", replicates, "a whole number from 1 to " + MOST);
        refusals.requireShare(likeness, "likeness");
        refusals.throwIfAny();
    }

    /**
     * The independent looks that n replicates are worth, {@code n / (1 + (n − 1)·likeness)}: the sample size over
     * the design effect.
     *
     * @param n replicates read, at least 1
     * @see "Kish 1965, Survey Sampling"
     */
    public double looks(int n) {
        return n / (1 + (n - 1) * likeness);
    }
}
