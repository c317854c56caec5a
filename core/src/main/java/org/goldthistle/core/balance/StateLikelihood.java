package org.goldthistle.core.balance;

import static org.goldthistle.core.balance.ModelConstants.BLUR_KEPT;
import static org.goldthistle.core.balance.ModelConstants.BLUR_TO_EACH_SIDE;
import static org.goldthistle.core.balance.ModelConstants.LAPSE;

import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;

/** Likelihood of a character that is read as one of m states, looked up in tables made once a sheet. */
public final class StateLikelihood implements Likelihood {
    private final String[] states;
    private final double[][] probability; // p', by taxon and state
    private final double[][][] logs; // ln p'', by certainty, state, and taxon with none-of-these last

    private final Outcomes outcomes;

    private StateLikelihood(StateScale scale, double[][] probability) {
        this.states = scale.states().stream().map(State::id).toArray(String[]::new);
        this.probability = probability;
        this.outcomes = Outcomes.ofStates(scale, probability);
        this.logs = new double[Certainty.values().length][][];
        for (Certainty certainty : Certainty.values()) {
            logs[certainty.ordinal()] = logs(certainty);
        }
    }

    static StateLikelihood of(GroupSheet sheet, DiagnosticCharacter character, StateScale scale) {
        double[][] probability = new double[sheet.taxa().size()][];
        for (int k = 0; k < probability.length; k++) {
            var profile =
                    (StateProfile) sheet.profile(character, sheet.taxa().get(k).id());
            probability[k] = readingProbabilities(scale, frequencies(scale, profile));
        }
        return new StateLikelihood(scale, probability);
    }

    /** The profile's frequencies in the order of the states. */
    static double[] frequencies(StateScale scale, StateProfile profile) {
        double[] frequencies = new double[scale.states().size()];
        for (int s = 0; s < frequencies.length; s++) {
            frequencies[s] = profile.frequency(scale.states().get(s).id());
        }
        return frequencies;
    }

    /** p' of section 3: ordered states are first mistaken for their neighbours now and then, then comes the lapse. */
    static double[] readingProbabilities(StateScale scale, double[] frequencies) {
        double[] read = scale.ordered() ? blurred(frequencies) : frequencies.clone();
        for (int s = 0; s < read.length; s++) {
            read[s] = (1 - LAPSE) * read[s] + LAPSE / read.length;
        }
        return read;
    }

    /** The kernel (0.05, 0.90, 0.05); what would fall off an end stays at that end. */
    private static double[] blurred(double[] frequencies) {
        int last = frequencies.length - 1;
        double[] blurred = new double[frequencies.length];
        for (int s = 0; s <= last; s++) {
            blurred[s] += BLUR_KEPT * frequencies[s];
            blurred[Math.max(0, s - 1)] += BLUR_TO_EACH_SIDE * frequencies[s];
            blurred[Math.min(last, s + 1)] += BLUR_TO_EACH_SIDE * frequencies[s];
        }
        return blurred;
    }

    private double[][] logs(Certainty certainty) {
        double[][] byState = new double[states.length][];
        double evenly = 1.0 / byState.length;
        double[] column = new double[probability.length];
        for (int s = 0; s < byState.length; s++) {
            for (int k = 0; k < column.length; k++) {
                column[k] = probability[k][s];
            }
            byState[s] = Doubt.logs(column, evenly, certainty);
        }
        return byState;
    }

    /** The place of a state, which the evidence has been checked to have. */
    private int indexOf(String state) {
        int s = 0;
        while (!states[s].equals(state)) {
            s++;
        }
        return s;
    }

    @Override
    public Outcomes outcomes() {
        return outcomes;
    }

    @Override
    public Surprise surprise(Observed observed, int taxon) {
        double[] p = probability[taxon];
        double mean = 0;
        double meanSquare = 0;
        for (double each : p) {
            double information = -Math.log(each);
            mean += each * information;
            meanSquare += each * information * information;
        }
        var seen = ((StatesObserved) observed).states();
        double found = 0;
        for (String state : seen) {
            found -= Math.log(p[indexOf(state)]) / seen.size();
        }
        return new Surprise(found, mean, meanSquare - mean * mean);
    }

    /** Blur and lapse are linear, so what is mixed before them may as well be mixed after. */
    @Override
    public double[] meanLogOfCross(Observed observed, Certainty certainty, int first, int second, double[] shares) {
        var seen = ((StatesObserved) observed).states();
        double[] mean = new double[shares.length];
        for (String state : seen) {
            int s = indexOf(state);
            double amongTaxa = 0;
            for (double[] taxon : probability) {
                amongTaxa += taxon[s] / probability.length;
            }
            for (int i = 0; i < shares.length; i++) {
                double cross = (1 - shares[i]) * probability[first][s] + shares[i] * probability[second][s];
                mean[i] += Doubt.log(cross, amongTaxa, certainty) / seen.size();
            }
        }
        return mean;
    }

    @Override
    public double[] meanLog(Observed observed, Certainty certainty) {
        double[][] byState = logs[certainty.ordinal()];
        var seen = ((StatesObserved) observed).states();
        double[] mean = new double[probability.length + 1];
        for (int n = 0; n < seen.size(); n++) {
            double[] log = byState[indexOf(seen.get(n))];
            for (int k = 0; k < mean.length; k++) {
                mean[k] += log[k];
            }
        }
        for (int k = 0; k < mean.length; k++) {
            mean[k] /= seen.size();
        }
        return mean;
    }
}
