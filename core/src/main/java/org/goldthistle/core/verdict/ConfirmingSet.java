package org.goldthistle.core.verdict;

import java.util.Arrays;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.sheet.Harm;

/**
 * The smallest set of readings that would have carried the call by itself: section 9. Every contribution is as in the
 * full evidence. Exact up to 20 readings; beyond, readings are added one by one, each time the one that raises the
 * lead most.
 */
final class ConfirmingSet {
    static final int MOST_EXACT = 20;
    private static final double SAME_POSTERIOR = 1e-12;

    private final Balance balance;
    private final double threshold;
    private final int readings;
    private final int others; // taxa and none-of-these but the lead
    private final double[] priorEdge; // ln prior of the lead over each other
    private final double[][] edge; // ℓ of the lead over each other, by reading
    private final double leastEdge; // what the lead must have over each other at least, for p*
    private double[][][] bestEdge; // by other, first reading still open, and how many are still to be picked

    private int[] best;
    private double bestPosterior;
    private double bestHarm;

    ConfirmingSet(Balance balance, double threshold) {
        this.balance = balance;
        this.threshold = threshold;
        this.readings = balance.readings().size();
        int lead = balance.lead();
        this.others = balance.model().taxonCount(); // K taxa and none-of-these, less the lead
        this.priorEdge = new double[others];
        this.edge = new double[readings][others];
        for (int o = 0; o < others; o++) {
            int other = o < lead ? o : o + 1;
            priorEdge[o] = Math.log(balance.prior(lead) / balance.prior(other));
            for (int j = 0; j < readings; j++) {
                edge[j][o] = balance.contribution(j, lead) - balance.contribution(j, other);
            }
        }
        this.leastEdge = Math.log(threshold / (1 - threshold));
    }

    /** The places of the set's readings, rising; empty if no set carries the call. */
    int[] find() {
        return readings <= MOST_EXACT ? exact() : greedy();
    }

    /** The lead's posterior from the prior and one reading fewer: all but the given one. */
    double posteriorWithout(int leftOut) {
        double[] sum = priorEdge.clone();
        for (int j = 0; j < readings; j++) {
            if (j != leftOut) {
                add(sum, j);
            }
        }
        return posterior(sum);
    }

    /** Whether the lead leads every other taxon when one reading is left out; ties go to the earlier. */
    boolean leadsWithout(int leftOut) {
        for (int o = 0; o < others - 1; o++) { // none-of-these never leads
            double sum = priorEdge[o];
            for (int j = 0; j < readings; j++) {
                sum += j == leftOut ? 0 : edge[j][o];
            }
            if (sum < 0 || sum == 0 && o < balance.lead()) {
                return false;
            }
        }
        return true;
    }

    private int[] exact() {
        bestEdge = bestEdges();
        for (int size = 1; size <= readings; size++) {
            best = null;
            search(new int[size], 0, 0, priorEdge);
            if (best != null) {
                return best;
            }
        }
        return new int[0];
    }

    /** All sets of one size, in the order of their places, given up as soon as even the best rest could not do. */
    private void search(int[] chosen, int depth, int from, double[] sum) {
        if (depth == chosen.length) {
            consider(chosen, sum);
            return;
        }
        int left = chosen.length - depth;
        for (int j = from; j <= readings - left; j++) {
            if (!canReach(sum, j, left)) {
                return;
            }
            chosen[depth] = j;
            double[] with = sum.clone();
            add(with, j);
            search(chosen, depth + 1, j + 1, with);
        }
    }

    private boolean canReach(double[] sum, int from, int left) {
        for (int o = 0; o < others; o++) {
            // a hair of slack, since sums are added up in another order here
            if (sum[o] + bestEdge[o][from][left] < leastEdge - 1e-9) {
                return false;
            }
        }
        return true;
    }

    private void consider(int[] chosen, double[] sum) {
        double posterior = posterior(sum);
        if (!(posterior >= threshold)) {
            return;
        }
        double harm = harm(chosen);
        boolean same = best != null && Math.abs(posterior - bestPosterior) <= SAME_POSTERIOR;
        boolean better = best == null || (same ? harm < bestHarm : posterior > bestPosterior);
        if (better) {
            best = chosen.clone();
            bestPosterior = posterior;
            bestHarm = harm;
        }
    }

    private int[] greedy() {
        boolean[] taken = new boolean[readings];
        double[] sum = priorEdge.clone();
        for (int size = 1; size <= readings; size++) {
            int pick = -1;
            double highest = -1;
            for (int j = 0; j < readings; j++) {
                if (!taken[j]) {
                    double[] with = sum.clone();
                    add(with, j);
                    if (posterior(with) > highest) {
                        highest = posterior(with);
                        pick = j;
                    }
                }
            }
            taken[pick] = true;
            add(sum, pick);
            if (highest >= threshold) {
                return places(taken, size);
            }
        }
        return new int[0];
    }

    private static int[] places(boolean[] taken, int size) {
        int[] places = new int[size];
        int next = 0;
        for (int j = 0; j < taken.length; j++) {
            if (taken[j]) {
                places[next++] = j;
            }
        }
        return places;
    }

    private void add(double[] sum, int reading) {
        for (int o = 0; o < others; o++) {
            sum[o] += edge[reading][o];
        }
    }

    /** The lead's share when it has these edges, in nats, over the others. */
    private double posterior(double[] edges) {
        double odds = 0;
        for (double each : edges) {
            odds += Math.exp(-each);
        }
        return 1 / (1 + odds);
    }

    private double harm(int[] chosen) {
        double harm = 0;
        for (int j : chosen) {
            Harm done = balance.readings().get(j).character().effort().harm();
            harm += done.minutesWorth();
        }
        return harm;
    }

    /** The most that so many readings from a place on can add to the lead's edge over each other. */
    private double[][][] bestEdges() {
        double[][][] bestEdges = new double[others][readings + 1][readings + 1];
        for (int o = 0; o < others; o++) {
            for (int from = 0; from <= readings; from++) {
                double[] open = new double[readings - from];
                for (int j = from; j < readings; j++) {
                    open[j - from] = edge[j][o];
                }
                Arrays.sort(open);
                for (int picks = 1; picks <= open.length; picks++) {
                    bestEdges[o][from][picks] = bestEdges[o][from][picks - 1] + open[open.length - picks];
                }
            }
        }
        return bestEdges;
    }
}
