package org.goldthistle.core.balance;

import static org.goldthistle.core.balance.ModelConstants.RARE_QUANTILE;
import static org.goldthistle.core.balance.ModelConstants.USUAL_QUANTILE;
import static org.goldthistle.core.balance.ModelConstants.USUAL_SHARE;

import org.goldthistle.core.sheet.Range;

/**
 * The spread of a measure within a taxon: two half normals that meet at the centre,
 * {@code f(x) = √(2/π)/(σL+σR) · exp(−(x−c)²/(2σ²))}, σ being σL left of the centre and σR right of it.
 * It is not cut off at 0.
 *
 * @param centre c, the most likely value
 * @param left σL, at least 0
 * @param right σR, at least 0
 * @see "Wallis 2014, The two-piece normal, binormal, or double Gaussian distribution, Statistical Science 29"
 */
public record TwoPieceNormal(double centre, double left, double right) {
    private static final double ROOT_TWO = Math.sqrt(2);
    private static final double ROOT_TWO_OVER_PI = Math.sqrt(2 / Math.PI);

    /**
     * The spread that a flora's range stands for, before the floor:
     * {@code σL = ¾·(c−r1)/1.644854 + ¼·(c−r0)/2.575829}, σR likewise.
     */
    static TwoPieceNormal of(Range range) {
        double c = range.centre();
        return new TwoPieceNormal(
                c,
                spread(c - range.usuallyLow(), c - range.rarelyLow()),
                spread(range.usuallyHigh() - c, range.rarelyHigh() - c));
    }

    private static double spread(double toUsual, double toRare) {
        return USUAL_SHARE * toUsual / USUAL_QUANTILE + (1 - USUAL_SHARE) * toRare / RARE_QUANTILE;
    }

    /** The same with both spreads raised to at least the floor: a range without width must not shout. */
    TwoPieceNormal raisedTo(double floor) {
        return new TwoPieceNormal(centre, Math.max(left, floor), Math.max(right, floor));
    }

    /** The spread of the side on which x lies. */
    public double spreadAt(double x) {
        return x < centre ? left : right;
    }

    /** f(x), per unit of x. */
    double density(double x) {
        double z = (x - centre) / spreadAt(x);
        return ROOT_TWO_OVER_PI / (left + right) * Math.exp(-0.5 * z * z);
    }

    /** The probability that a value lies between two limits. */
    double mass(double low, double high) {
        double mass = 0;
        if (low < centre) {
            mass += left / (left + right) * errorBetween(low, Math.min(high, centre), left);
        }
        if (high > centre) {
            mass += right / (left + right) * errorBetween(Math.max(low, centre), high, right);
        }
        return mass;
    }

    /**
     * The value below which a share of all lies.
     *
     * @param share in (0, 1)
     */
    public double quantile(double share) {
        double below = left / (left + right);
        return share < below
                ? centre + left * NormalDistribution.quantile(share / (2 * below))
                : centre + right * NormalDistribution.quantile(1 - (1 - share) / (2 * (1 - below)));
    }

    private double errorBetween(double low, double high, double spread) {
        return ErrorFunction.at((high - centre) / (spread * ROOT_TWO))
                - ErrorFunction.at((low - centre) / (spread * ROOT_TWO));
    }
}
