package org.goldthistle.core.hybrid;

import java.util.Optional;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.balance.WeighedReading;

/**
 * Where a tree lies between two parents, character by character: {@code HI = Σu·h/Σu} with h a reading's lean towards
 * the second parent and u its weight times how well its character separates the parents; and how patchy it is,
 * {@code [Σu(h−HI)²/Σu] / (HI(1−HI))}.
 */
record HybridIndex(Optional<Double> index, Optional<Double> mosaic) {
    private static final double NATS_PER_BIT = Math.log(2);

    static HybridIndex of(Balance balance, int first, int second) {
        int readings = balance.readings().size();
        double[] lean = new double[readings];
        double[] worth = new double[readings];
        double total = 0;
        double sum = 0;
        for (int j = 0; j < readings; j++) {
            WeighedReading reading = balance.readings().get(j);
            // g_B/(g_A + g_B) of the geometric means, from their logarithms
            lean[j] = 1 / (1 + Math.exp(reading.meanLog(first) - reading.meanLog(second)));
            worth[j] = reading.weight()
                    * separation(
                            balance.model().likelihood(reading.characterIndex()).outcomes(), first, second);
            total += worth[j];
            sum += worth[j] * lean[j];
        }
        if (!(total > 0)) {
            return new HybridIndex(Optional.empty(), Optional.empty());
        }
        double index = sum / total;
        double spread = 0;
        for (int j = 0; j < readings; j++) {
            spread += worth[j] * (lean[j] - index) * (lean[j] - index);
        }
        boolean between = index > 0 && index < 1;
        return new HybridIndex(
                Optional.of(index), between ? Optional.of(spread / total / (index * (1 - index))) : Optional.empty());
    }

    /** The Jensen-Shannon divergence of the two taxa's masses, in bits, in [0, 1]. */
    private static double separation(Outcomes outcomes, int first, int second) {
        double divergence = 0;
        for (int x = 0; x < outcomes.count(); x++) {
            double a = outcomes.mass(x, first);
            double b = outcomes.mass(x, second);
            double middle = Math.log((a + b) / 2);
            divergence +=
                    a / 2 * (outcomes.logMass(x, first) - middle) + b / 2 * (outcomes.logMass(x, second) - middle);
        }
        return Math.max(0, divergence) / NATS_PER_BIT; // equal masses may round below 0
    }
}
