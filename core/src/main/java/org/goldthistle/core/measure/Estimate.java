package org.goldthistle.core.measure;

/**
 * A value that was measured, and how far off it may be.
 *
 * @param value in the unit of its character
 * @param error one standard deviation; 0: nothing is known to make it uncertain
 */
public record Estimate(double value, double error) {
    private static final double SETTLES =
            0.25; // of the narrowest spread, above which an error blurs what it should part

    /**
     * Whether it is too coarse to settle anything.
     *
     * @param narrowestSpread of the character over the taxa
     */
    public boolean isCoarse(double narrowestSpread) {
        return error > SETTLES * narrowestSpread;
    }
}
