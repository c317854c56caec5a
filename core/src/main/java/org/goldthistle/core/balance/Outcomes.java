package org.goldthistle.core.balance;

import java.util.Arrays;
import java.util.function.DoubleFunction;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;

/**
 * What a check of one character can turn out as, with its mass under each taxon: section 10 of
 * {@code docs/model.md}. The outcomes are the states, the whole numbers of the span, or the midpoints of 48 equal
 * bins. Where an array runs over taxa, none-of-these comes last.
 */
public final class Outcomes {
    private static final int NO_ABSENT_STATE = -1;

    private final double[][] logMass; // ln m by outcome and taxon
    private final double[][] mass;
    private final double[][] logReading; // ln p' of section 3 by outcome and taxon
    private final double[] values;
    private final int absent;

    private Outcomes(double[] values, double[][] probability, double massOfNone, double readingOfNone, int absent) {
        this.values = values;
        int taxa = probability[0].length;
        double[] total = new double[taxa];
        for (double[] outcome : probability) {
            for (int k = 0; k < taxa; k++) {
                total[k] += outcome[k];
            }
        }
        this.mass = new double[probability.length][taxa + 1];
        this.logMass = new double[probability.length][taxa + 1];
        this.logReading = new double[probability.length][taxa + 1];
        for (int x = 0; x < mass.length; x++) {
            for (int k = 0; k < taxa; k++) {
                mass[x][k] = probability[x][k] / total[k];
                logMass[x][k] = Math.log(mass[x][k]);
                logReading[x][k] = Math.log(probability[x][k]);
            }
            mass[x][taxa] = massOfNone;
            logMass[x][taxa] = Math.log(massOfNone);
            logReading[x][taxa] = Math.log(readingOfNone);
        }
        this.absent = absent;
    }

    static Outcomes ofStates(StateScale scale, double[][] probabilityByTaxon) {
        int states = scale.states().size();
        double[][] byState = new double[states][probabilityByTaxon.length];
        for (int s = 0; s < states; s++) {
            for (int k = 0; k < probabilityByTaxon.length; k++) {
                byState[s][k] = probabilityByTaxon[k][s];
            }
        }
        int absent = scale.indexOf(State.ABSENT);
        double[] places = new double[states];
        Arrays.setAll(places, place -> place);
        return new Outcomes(places, byState, 1.0 / states, 1.0 / states, absent < 0 ? NO_ABSENT_STATE : absent);
    }

    static Outcomes ofNumbers(double[] values, DoubleFunction<double[]> probabilities, double readingOfNone) {
        double[][] byValue = new double[values.length][];
        for (int x = 0; x < values.length; x++) {
            byValue[x] = probabilities.apply(values[x]);
        }
        double massOfNone = ModelConstants.NONE_OF_THESE_NUMBERS / values.length;
        return new Outcomes(values.clone(), byValue, massOfNone, readingOfNone, NO_ABSENT_STATE);
    }

    /** How many there are, at least one. */
    public int count() {
        return mass.length;
    }

    /** The number that an outcome stands for; of states the place of the state in their order. */
    public double value(int outcome) {
        return values[outcome];
    }

    /** m_k(x): the mass of an outcome under a taxon; over all outcomes 1 for each taxon. */
    public double mass(int outcome, int taxon) {
        return mass[outcome][taxon];
    }

    /** ln m_k(x), finite. */
    public double logMass(int outcome, int taxon) {
        return logMass[outcome][taxon];
    }

    /** ln p′ of section 3 for a reading of this outcome, finite; none-of-these after the last taxon. */
    public double logReading(int outcome, int taxon) {
        return logReading[outcome][taxon];
    }

    /** Whether the outcome says that the thing is not there. */
    public boolean isAbsent(int outcome) {
        return outcome == absent;
    }
}
