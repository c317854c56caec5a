package org.goldthistle.core.agreement;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Krippendorff's alpha for answers without an order, from any number of observers, some of whom may have left trees
 * out: {@code 1 − D_o/D_e} over the coincidences of answers within trees.
 *
 * @see "Krippendorff 2004, Content Analysis, chapter 11"
 */
public final class NominalAlpha {
    private NominalAlpha() {}

    /**
     * @param trees by the answers that a tree got, numbers in [0, categories): how many trees got just these; those with
     *     fewer than two answers do not count
     * @param categories how many different answers there are
     * @return at most 1; empty where it is 0/0: nothing to compare, or everybody always gave one answer
     */
    public static Optional<Double> of(Map<List<Integer>, Long> trees, int categories) {
        double[] totals = new double[categories];
        double agreeing = 0; // coincidences of like answers
        double all = 0;
        for (Map.Entry<List<Integer>, Long> one : trees.entrySet()) {
            List<Integer> answers = one.getKey();
            long alike = one.getValue();
            if (answers.size() < 2) {
                continue;
            }
            long[] given = new long[categories];
            for (int answer : answers) {
                given[answer]++;
            }
            for (int c = 0; c < categories; c++) {
                agreeing += (double) alike * given[c] * (given[c] - 1) / (answers.size() - 1);
                totals[c] += alike * given[c];
            }
            all += alike * answers.size();
        }
        double alike = 0;
        for (double total : totals) {
            alike += total * (total - 1);
        }
        double expected = all * (all - 1) - alike; // pairs of unlike answers, drawn from all of them
        if (expected <= 0) {
            return Optional.empty();
        }
        return Optional.of(1 - (all - 1) * (all - agreeing) / expected);
    }
}
