package org.goldthistle.core.sheet;

import org.goldthistle.core.RefusedException;

/**
 * A measure as a flora prints it, (6-)8-12(-15), in the unit of its character (mm, degrees, a count).
 * About 90 % of careful readings fall in the usual pair, about 99 % in the rare pair. A pair may have no width.
 */
public record Range(double rarelyLow, double usuallyLow, double usuallyHigh, double rarelyHigh) {
    /** @throws RefusedException if the span is not finite or the four do not rise */
    public Range {
        boolean rises = rarelyLow <= usuallyLow && usuallyLow <= usuallyHigh && usuallyHigh <= rarelyHigh;
        if (!(rises && Double.isFinite(rarelyHigh - rarelyLow))) { // a NaN does not rise
            throw RefusedException.of(
                    "range",
                    "[" + rarelyLow + ", " + usuallyLow + ", " + usuallyHigh + ", " + rarelyHigh + "]",
                    "four numbers that do not fall, with a finite span: rarely low, usually low, usually high, rarely high");
        }
    }

    /** The middle of the usual pair, taken as the most likely value. */
    public double centre() {
        return (usuallyLow + usuallyHigh) / 2;
    }

    /**
     * The range on the straight way from this one to another.
     *
     * @param share of the other, in [0, 1]
     */
    public Range towards(Range other, double share) {
        return new Range(
                mixed(rarelyLow, other.rarelyLow, share),
                mixed(usuallyLow, other.usuallyLow, share),
                mixed(usuallyHigh, other.usuallyHigh, share),
                mixed(rarelyHigh, other.rarelyHigh, share));
    }

    private static double mixed(double own, double other, double share) {
        return (1 - share) * own + share * other;
    }

    /** Whether some whole number lies between the rare limits. */
    public boolean holdsWholeNumber() {
        return Math.ceil(rarelyLow) <= Math.floor(rarelyHigh);
    }
}
