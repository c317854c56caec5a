package org.goldthistle.core.hybrid;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.core.sheet.Taxon;

/**
 * A tree's descent from the two parents of a hybrid, reckoned from features alone: q is the share of the second
 * parent. The site tells nothing of it.
 *
 * @param hybrid the hybrid whose parents these are
 * @param mean of q, in [0, 1]
 * @param low start of the narrowest run of q that holds 0.90 or more, the first of equals
 * @param high its end
 * @param pureFirst probability of q = 0: the tree is the first parent, purely
 * @param pureSecond probability of q = 1
 * @param curve probability of each q on the grid 0, 0.01 … 1, adding up to 1
 * @param index the hybrid index in [0, 1]: 0 all like the first parent, 1 all like the second; empty when no reading
 *     separates the parents
 * @param mosaic near 0 every character is intermediate, near 1 each looks like one parent or the other; empty where
 *     the index is, or is 0 or 1
 * @see "Anderson 1949, Introgressive Hybridization"
 */
public record Ancestry(
        Taxon hybrid,
        double mean,
        double low,
        double high,
        double pureFirst,
        double pureSecond,
        List<Double> curve,
        Optional<Double> index,
        Optional<Double> mosaic) {

    private static final int STEPS = 100;
    private static final double ROUNDING = 1e-12;

    /** Halfway between the parents. */
    private static final double HALF = 0.5;

    /** Copies the curve. */
    public Ancestry {
        curve = List.copyOf(curve);
    }

    /**
     * @param featuresAlone the balance of features alone
     * @param hybrid a hybrid of its sheet
     */
    public static Ancestry of(Balance featuresAlone, Taxon hybrid) {
        GroupModel model = featuresAlone.model();
        GroupSheet sheet = model.sheet();
        Parents parents =
                hybrid.parents().orElseThrow(() -> new IllegalArgumentException(hybrid.id() + " is no hybrid"));
        int first = sheet.taxonIndex(parents.first());
        int second = sheet.taxonIndex(parents.second());
        double[] curve = curve(featuresAlone, first, second);
        double mean = 0;
        for (int i = 0; i <= STEPS; i++) {
            mean += curve[i] * i / STEPS;
        }
        HybridIndex index = HybridIndex.of(featuresAlone, first, second);
        int[] interval = narrowest(curve);
        return new Ancestry(
                hybrid,
                mean,
                (double) interval[0] / STEPS,
                (double) interval[1] / STEPS,
                curve[0],
                curve[STEPS],
                boxed(curve),
                index.index(),
                index.mosaic());
    }

    /** Whether the interval from low to high holds the middle: the tree may well be a first cross. */
    public boolean mayBeHalf() {
        return low <= HALF && HALF <= high;
    }

    /** The id of the parent that the tree most likely is alone, not part of it; empty: neither. */
    public Optional<String> likelyPure() {
        Parents parents = hybrid.parents().orElseThrow();
        if (pureFirst > ModelConstants.LIKELY_PURE) {
            return Optional.of(parents.first());
        }
        return pureSecond > ModelConstants.LIKELY_PURE ? Optional.of(parents.second()) : Optional.empty();
    }

    private static double[] curve(Balance balance, int first, int second) {
        double[] shares = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            shares[i] = (double) i / STEPS;
        }
        double[] logs = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            boolean pure = i == 0 || i == STEPS;
            logs[i] = Math.log(pure ? ModelConstants.PURE_PARENT : (1 - 2 * ModelConstants.PURE_PARENT) / (STEPS - 1));
        }
        for (int j = 0; j < balance.readings().size(); j++) {
            WeighedReading weighed = balance.readings().get(j);
            Reading reading = weighed.reading();
            double[] mean = balance.model()
                    .likelihood(weighed.characterIndex())
                    .meanLogOfCross(reading.observed(), reading.certainty(), first, second, shares);
            for (int i = 0; i <= STEPS; i++) {
                logs[i] += balance.exponent(j) * mean[i];
            }
        }
        return Balance.toShares(logs);
    }

    /** The first of the shortest runs of grid points that hold the interval's probability: its ends. */
    private static int[] narrowest(double[] curve) {
        double[] up = new double[curve.length + 1];
        for (int i = 0; i < curve.length; i++) {
            up[i + 1] = up[i] + curve[i];
        }
        for (int width = 0; width < STEPS; width++) {
            for (int from = 0; from + width <= STEPS; from++) {
                if (up[from + width + 1] - up[from] >= ModelConstants.ANCESTRY_INTERVAL - ROUNDING) {
                    return new int[] {from, from + width};
                }
            }
        }
        return new int[] {0, STEPS};
    }

    private static List<Double> boxed(double[] curve) {
        Double[] boxed = new Double[curve.length];
        for (int i = 0; i < boxed.length; i++) {
            boxed[i] = curve[i];
        }
        return List.of(boxed);
    }
}
