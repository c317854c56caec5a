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
 * @param low the first q of the grid with a cumulative probability of at least 0.05
 * @param high the first with at least 0.95
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
        List<Double> curve,
        Optional<Double> index,
        Optional<Double> mosaic) {

    private static final int STEPS = 100;

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
        return new Ancestry(
                hybrid,
                mean,
                firstReaching(curve, ModelConstants.ANCESTRY_LOW_TAIL),
                firstReaching(curve, ModelConstants.ANCESTRY_HIGH_TAIL),
                boxed(curve),
                index.index(),
                index.mosaic());
    }

    /** Whether the interval from low to high holds the middle: the tree may well be a first cross. */
    public boolean mayBeHalf() {
        return low <= HALF && HALF <= high;
    }

    private static double[] curve(Balance balance, int first, int second) {
        double[] shares = new double[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            shares[i] = (double) i / STEPS;
        }
        double[] logs = new double[STEPS + 1];
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

    private static double firstReaching(double[] curve, double probability) {
        double cumulative = 0;
        for (int i = 0; i < STEPS; i++) {
            cumulative += curve[i];
            if (cumulative >= probability) {
                return (double) i / STEPS;
            }
        }
        return 1;
    }

    private static List<Double> boxed(double[] curve) {
        Double[] boxed = new Double[curve.length];
        for (int i = 0; i < boxed.length; i++) {
            boxed[i] = curve[i];
        }
        return List.of(boxed);
    }
}
