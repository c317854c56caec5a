package org.goldthistle.core.learning;

import static org.goldthistle.core.balance.ModelConstants.FEWEST_VERIFIED;
import static org.goldthistle.core.balance.ModelConstants.RELIABILITY_BINS;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.Taxon;

/**
 * Whether what is believed comes true: of all shares of about 0.7 that were given to a taxon of a verified tree, seven in
 * ten should have been right.
 *
 * @param trees how many verified trees it is made from
 * @param bins ten equal parts of [0, 1], the lowest first
 * @param calibrationError Σ n_b/N·|mean share − observed| over the bins; empty without trees
 * @param brier mean over the trees of the squared distance of all shares from the truth, in [0, 2]; empty without trees
 * @param logLoss mean over the trees of −ln of the share of the truth, in nats; empty without trees
 * @see "Brier 1950, Verification of forecasts expressed in terms of probability, Monthly Weather Review 78"
 */
public record Reliability(
        int trees,
        List<Bin> bins,
        Optional<Double> calibrationError,
        Optional<Double> brier,
        Optional<Double> logLoss) {

    /** Copies the list. */
    public Reliability {
        bins = List.copyOf(bins);
    }

    /**
     * Shares of belief of about the same size, over all taxa of all trees.
     *
     * @param from the least share of the bin
     * @param to the share from which the next one begins; the last bin holds 1 too
     * @param points what was believed of one taxon of one tree each
     */
    public record Bin(double from, double to, List<Point> points) {
        /** Copies the list. */
        public Bin {
            points = List.copyOf(points);
        }

        /** The mean of its shares; empty: it has none. */
        public Optional<Double> meanShare() {
            return mean(points.stream().mapToDouble(Point::share).average());
        }

        /** How many of them came true, in [0, 1]; empty: it has none. */
        public Optional<Double> observed() {
            return mean(
                    points.stream().mapToDouble(point -> point.right() ? 1 : 0).average());
        }

        private static Optional<Double> mean(OptionalDouble average) {
            return average.isPresent() ? Optional.of(average.getAsDouble()) : Optional.empty();
        }
    }

    /**
     * What was believed of one taxon.
     *
     * @param tree id of the tree
     * @param taxon that it was believed of
     * @param share of belief in it
     * @param right whether the tree is of that taxon
     */
    public record Point(String tree, Taxon taxon, double share, boolean right) {}

    /**
     * What was believed of a tree.
     *
     * @param tree its id
     * @param balance that its call was decided on
     * @param truth place of its taxon in the balance's sheet
     */
    public record Judged(String tree, Balance balance, int truth) {}

    /** Of trees that were read with a sheet, each as it was signed. */
    public static Reliability of(GroupModel model, List<VerifiedTree> trees) {
        return of(trees.stream().map(tree -> tree.judged(model)).toList());
    }

    /** Of trees that may have been signed on different versions of a sheet. */
    public static Reliability of(List<Judged> trees) {
        List<List<Point>> points = new ArrayList<>();
        for (int b = 0; b < RELIABILITY_BINS; b++) {
            points.add(new ArrayList<>());
        }
        double brier = 0;
        double logLoss = 0;
        int shares = 0;
        for (Judged tree : trees) {
            Balance balance = tree.balance();
            brier += Math.pow(balance.noneOfThese(), 2);
            logLoss -= balance.logPosterior(tree.truth());
            for (int k = 0; k < balance.model().taxonCount(); k++) {
                double share = balance.posterior(k);
                boolean right = k == tree.truth();
                brier += Math.pow(share - (right ? 1 : 0), 2);
                int bin = Math.min(RELIABILITY_BINS - 1, (int) (share * RELIABILITY_BINS));
                points.get(bin)
                        .add(new Point(
                                tree.tree(), balance.model().sheet().taxa().get(k), share, right));
                shares++;
            }
        }
        List<Bin> bins = new ArrayList<>();
        for (int b = 0; b < RELIABILITY_BINS; b++) {
            bins.add(new Bin((double) b / RELIABILITY_BINS, (b + 1.0) / RELIABILITY_BINS, points.get(b)));
        }
        int n = trees.size();
        return n == 0
                ? new Reliability(0, bins, Optional.empty(), Optional.empty(), Optional.empty())
                : new Reliability(
                        n, bins, Optional.of(error(bins, shares)), Optional.of(brier / n), Optional.of(logLoss / n));
    }

    private static double error(List<Bin> bins, int all) {
        double error = 0;
        for (Bin bin : bins) {
            if (!bin.points().isEmpty()) {
                double apart = bin.meanShare().orElseThrow() - bin.observed().orElseThrow();
                error += Math.abs(apart) * bin.points().size() / all;
            }
        }
        return error;
    }

    /** Whether there are enough trees for the curve to say much. */
    public boolean isOfEnough() {
        return trees >= FEWEST_VERIFIED;
    }
}
