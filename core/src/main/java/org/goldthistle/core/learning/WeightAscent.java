package org.goldthistle.core.learning;

import static org.goldthistle.core.balance.ModelConstants.LEAST_DECISIVE_WEIGHT;
import static org.goldthistle.core.balance.ModelConstants.MOST_ROUNDS;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.balance.Weight;
import org.goldthistle.core.sheet.DiagnosticCharacter;

/**
 * Finds the weights under which the truth of verified trees is believed the most: one character after the other, in
 * steps of 0.01, until nothing changes any more.
 */
final class WeightAscent {
    private static final int STEPS = 100; // of 0.01
    private static final double GAIN = 1e-9; // nats below which a weight is as good as another

    private final double[] least; // by character
    private final List<Tree> trees = new ArrayList<>();

    /**
     * @param decisive ids of characters that settled a case and so keep some weight
     */
    WeightAscent(GroupModel model, List<VerifiedTree> verified, Set<String> decisive) {
        List<DiagnosticCharacter> characters = model.sheet().characters();
        least = new double[characters.size()];
        for (int c = 0; c < least.length; c++) {
            least[c] = decisive.contains(characters.get(c).id()) ? LEAST_DECISIVE_WEIGHT : 0;
        }
        for (VerifiedTree tree : verified) {
            trees.add(new Tree(tree, tree.balance(model), characters.size()));
        }
    }

    /** The sheet's own weights. */
    static double[] own(GroupModel model) {
        return model.sheet().characters().stream()
                .mapToDouble(character -> character.trust().weight())
                .toArray();
    }

    /** Climbs from given weights. */
    double[] from(double[] start) {
        double[] weights = start.clone();
        boolean moved = true;
        for (int round = 0; moved && round < MOST_ROUNDS; round++) {
            moved = false;
            for (int c = 0; c < weights.length; c++) {
                double best = best(weights, c);
                moved |= best != weights[c];
                weights[c] = best;
            }
        }
        return weights;
    }

    private double best(double[] weights, int character) {
        List<Tree> read = trees.stream().filter(tree -> tree.reads(character)).toList();
        double[][] others = new double[read.size()][]; // ln of belief without the character
        for (int t = 0; t < others.length; t++) {
            others[t] = read.get(t).logs(weights, character);
        }
        double best = Math.max(weights[character], least[character]);
        double highest = belief(read, others, character, best);
        for (int step = 0; step <= STEPS; step++) {
            double weight = (double) step / STEPS;
            if (weight >= least[character]) {
                double belief = belief(read, others, character, weight);
                if (belief > highest + GAIN) {
                    highest = belief;
                    best = weight;
                }
            }
        }
        return best;
    }

    private static double belief(List<Tree> read, double[][] others, int character, double weight) {
        double sum = 0;
        for (int t = 0; t < others.length; t++) {
            sum += read.get(t).logTruth(others[t], character, weight);
        }
        return sum;
    }

    /** −ln of the share of the truth of each tree, in nats. */
    double[] losses(double[] weights) {
        double[] losses = new double[trees.size()];
        for (int t = 0; t < losses.length; t++) {
            losses[t] = -trees.get(t).logTruth(trees.get(t).logs(weights, -1), -1, 0);
        }
        return losses;
    }

    /** A tree as its belief depends on the weights. */
    private static final class Tree {
        private final int truth;
        private final double[] prior; // ln, none-of-these last
        private final double[][] units; // by character, what its reading adds at w = 1; null: it was not read
        private final double[] factors; // by character, of its weight

        Tree(VerifiedTree tree, Balance balance, int characters) {
            int taxa = balance.model().taxonCount();
            truth = tree.truth();
            prior = new double[taxa + 1];
            for (int k = 0; k <= taxa; k++) {
                prior[k] = Math.log(balance.prior(k));
            }
            units = new double[characters][];
            factors = new double[characters];
            for (int j = 0; j < balance.readings().size(); j++) {
                WeighedReading reading = balance.readings().get(j);
                int c = reading.characterIndex();
                factors[c] = Weight.factor(
                        reading.character(), reading.reading(), tree.evidence().context());
                units[c] = new double[taxa + 1];
                for (int k = 0; k <= taxa; k++) {
                    units[c][k] = balance.looks(j) * reading.meanLog(k);
                }
            }
        }

        boolean reads(int character) {
            return units[character] != null;
        }

        /** ln of belief under weights, one character left out. */
        double[] logs(double[] weights, int but) {
            double[] logs = prior.clone();
            for (int c = 0; c < units.length; c++) {
                if (units[c] != null && c != but) {
                    double weight = weight(c, weights[c]);
                    for (int k = 0; k < logs.length; k++) {
                        logs[k] += weight * units[c][k];
                    }
                }
            }
            return logs;
        }

        private double weight(int character, double own) {
            return Math.min(1, own * factors[character]);
        }

        /** ln of the share of the truth, a character added to the others at a weight. */
        double logTruth(double[] others, int character, double own) {
            double weight = character < 0 ? 0 : weight(character, own);
            double[] unit = character < 0 ? prior : units[character];
            double largest = Double.NEGATIVE_INFINITY;
            for (int k = 0; k < others.length; k++) {
                largest = Math.max(largest, others[k] + weight * unit[k]);
            }
            double total = 0;
            for (int k = 0; k < others.length; k++) {
                total += Math.exp(others[k] + weight * unit[k] - largest);
            }
            return others[truth] + weight * unit[truth] - largest - Math.log(total);
        }
    }
}
