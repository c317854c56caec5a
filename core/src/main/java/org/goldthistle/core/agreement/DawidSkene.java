package org.goldthistle.core.agreement;

import java.util.Arrays;
import java.util.List;

/**
 * What each tree most likely is and how each observer mistakes one taxon for another, found from their answers alone by
 * expectation and maximisation, begun from the majority.
 *
 * @see "Dawid & Skene 1979, Maximum likelihood estimation of observer error-rates using the EM algorithm, Appl. Stat. 28"
 */
public final class DawidSkene {
    private static final int MOST_ROUNDS = 200;
    private static final double CLOSE_ENOUGH = 1e-8;
    private static final double NEVER = 1e-12; // so that an answer that was never given has a logarithm

    private final double[][] truth;
    private final double[][][] errors;
    private final int rounds;

    private DawidSkene(double[][] truth, double[][][] errors, int rounds) {
        this.truth = truth;
        this.errors = errors;
        this.rounds = rounds;
    }

    /** One answer: who gave it for which tree. */
    public record Answer(int tree, int observer, int category) {}

    /**
     * @param answers with trees, observers and categories counted from 0
     * @param trees how many there are, each with at least one answer
     * @param observers how many there are
     * @param categories how many different answers there are, at least one
     */
    public static DawidSkene of(List<Answer> answers, int trees, int observers, int categories) {
        double[][] truth = new double[trees][categories];
        for (Answer one : answers) {
            truth[one.tree()][one.category()]++;
        }
        for (double[] tree : truth) {
            normalise(tree);
        }
        double[][][] errors = new double[observers][categories][categories];
        double change = 1;
        int rounds = 0;
        while (rounds < MOST_ROUNDS && change > CLOSE_ENOUGH) {
            double[] prior = maximise(answers, truth, errors);
            double[][] next = expect(answers, prior, errors, trees);
            change = difference(truth, next);
            truth = next;
            rounds++;
        }
        return new DawidSkene(truth, errors, rounds);
    }

    /** Fills in the observers' error rates and answers how common each category is. */
    private static double[] maximise(List<Answer> answers, double[][] truth, double[][][] errors) {
        int categories = truth[0].length;
        for (double[][] observer : errors) {
            for (double[] row : observer) {
                Arrays.fill(row, 0);
            }
        }
        for (Answer one : answers) {
            for (int k = 0; k < categories; k++) {
                errors[one.observer()][k][one.category()] += truth[one.tree()][k];
            }
        }
        for (double[][] observer : errors) {
            for (double[] row : observer) {
                normalise(row);
            }
        }
        double[] prior = new double[categories];
        for (double[] tree : truth) {
            for (int k = 0; k < categories; k++) {
                prior[k] += tree[k] / truth.length;
            }
        }
        return prior;
    }

    private static double[][] expect(List<Answer> answers, double[] prior, double[][][] errors, int trees) {
        double[][] logs = new double[trees][prior.length];
        for (double[] tree : logs) {
            for (int k = 0; k < prior.length; k++) {
                tree[k] = Math.log(Math.max(NEVER, prior[k]));
            }
        }
        for (Answer one : answers) {
            for (int k = 0; k < prior.length; k++) {
                logs[one.tree()][k] += Math.log(Math.max(NEVER, errors[one.observer()][k][one.category()]));
            }
        }
        for (double[] tree : logs) {
            double largest = Double.NEGATIVE_INFINITY;
            for (double log : tree) {
                largest = Math.max(largest, log);
            }
            for (int k = 0; k < tree.length; k++) {
                tree[k] = Math.exp(tree[k] - largest);
            }
            normalise(tree);
        }
        return logs;
    }

    private static double difference(double[][] before, double[][] after) {
        double most = 0;
        for (int i = 0; i < before.length; i++) {
            for (int k = 0; k < before[i].length; k++) {
                most = Math.max(most, Math.abs(before[i][k] - after[i][k]));
            }
        }
        return most;
    }

    private static void normalise(double[] shares) {
        double total = 0;
        for (double share : shares) {
            total += share;
        }
        for (int k = 0; k < shares.length; k++) {
            shares[k] = total > 0 ? shares[k] / total : 0;
        }
    }

    /** The probability that a tree is of a category, in [0, 1]. */
    public double truth(int tree, int category) {
        return truth[tree][category];
    }

    /** How often an observer answers a category where another one is true, in [0, 1]; 0 throughout where they never met it. */
    public double errorRate(int observer, int truly, int answered) {
        return errors[observer][truly][answered];
    }

    /** How many rounds it took, at most 200. */
    public int rounds() {
        return rounds;
    }
}
