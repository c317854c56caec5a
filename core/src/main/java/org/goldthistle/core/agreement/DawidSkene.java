package org.goldthistle.core.agreement;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

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

    private final Map<List<Answer>, double[]> truth;
    private final double[][][] errors;
    private final int rounds;

    private DawidSkene(Map<List<Answer>, double[]> truth, double[][][] errors, int rounds) {
        this.truth = truth;
        this.errors = errors;
        this.rounds = rounds;
    }

    /** One answer, and who gave it. */
    public record Answer(int observer, int category) {}

    /** The answers of every tree that got just these; such trees cannot be told apart, and are reckoned once. */
    private record Pattern(int[] observers, int[] categories, long trees) {}

    /**
     * @param trees by the answers that a tree got, at least one: how many trees got just these; observers and categories
     *     are counted from 0
     * @param observers how many there are
     * @param categories how many different answers there are, at least one
     */
    public static DawidSkene of(Map<List<Answer>, Long> trees, int observers, int categories) {
        List<Pattern> patterns = patterns(trees);
        double[][] truth = new double[patterns.size()][categories];
        for (int i = 0; i < truth.length; i++) {
            for (int category : patterns.get(i).categories()) {
                truth[i][category]++;
            }
            normalise(truth[i]);
        }
        double all = trees.values().stream().mapToLong(Long::longValue).sum();
        double[][][] errors = new double[observers][categories][categories];
        double change = 1;
        int rounds = 0;
        while (rounds < MOST_ROUNDS && change > CLOSE_ENOUGH) {
            double[] prior = maximise(patterns, truth, errors, all);
            double[][] next = expect(patterns, prior, errors);
            change = difference(truth, next);
            truth = next;
            rounds++;
        }
        Map<List<Answer>, double[]> found = new HashMap<>();
        int at = 0;
        for (List<Answer> answers : trees.keySet()) {
            found.put(answers, truth[at++]);
        }
        return new DawidSkene(found, errors, rounds);
    }

    /** In the order of the map. */
    private static List<Pattern> patterns(Map<List<Answer>, Long> trees) {
        List<Pattern> patterns = new ArrayList<>();
        trees.forEach((answers, count) -> patterns.add(new Pattern(
                answers.stream().mapToInt(Answer::observer).toArray(),
                answers.stream().mapToInt(Answer::category).toArray(),
                count)));
        return patterns;
    }

    /** Fills in the observers' error rates and answers how common each category is. */
    private static double[] maximise(List<Pattern> patterns, double[][] truth, double[][][] errors, double trees) {
        int categories = truth[0].length;
        for (double[][] observer : errors) {
            for (double[] row : observer) {
                Arrays.fill(row, 0);
            }
        }
        double[] prior = new double[categories];
        for (int i = 0; i < truth.length; i++) {
            Pattern pattern = patterns.get(i);
            for (int k = 0; k < categories; k++) {
                double share = truth[i][k] * pattern.trees();
                prior[k] += share / trees;
                for (int j = 0; j < pattern.observers().length; j++) {
                    errors[pattern.observers()[j]][k][pattern.categories()[j]] += share;
                }
            }
        }
        for (double[][] observer : errors) {
            for (double[] row : observer) {
                normalise(row);
            }
        }
        return prior;
    }

    private static double[][] expect(List<Pattern> patterns, double[] prior, double[][][] errors) {
        double[][] logs = new double[patterns.size()][prior.length];
        for (int i = 0; i < logs.length; i++) {
            Pattern pattern = patterns.get(i);
            double largest = Double.NEGATIVE_INFINITY;
            for (int k = 0; k < prior.length; k++) {
                logs[i][k] = Math.log(Math.max(NEVER, prior[k]));
                for (int j = 0; j < pattern.observers().length; j++) {
                    double rate = errors[pattern.observers()[j]][k][pattern.categories()[j]];
                    logs[i][k] += Math.log(Math.max(NEVER, rate));
                }
                largest = Math.max(largest, logs[i][k]);
            }
            for (int k = 0; k < prior.length; k++) {
                logs[i][k] = Math.exp(logs[i][k] - largest);
            }
            normalise(logs[i]);
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

    /** The probability that a tree that got just these answers is of a category, in [0, 1]. */
    public double truth(List<Answer> answers, int category) {
        return truth.get(answers)[category];
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
