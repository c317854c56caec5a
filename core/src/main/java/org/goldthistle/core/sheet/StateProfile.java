package org.goldthistle.core.sheet;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;

/**
 * How often each state of a character is met in one taxon.
 *
 * @param frequencies share of trees by state id, adding up to 1; a state that is not listed has none
 */
public record StateProfile(Map<String, Double> frequencies) implements Profile {
    private static final double SUM_TOLERANCE = 0.001;

    /** @throws RefusedException if a frequency lies outside [0, 1] or they do not add up to 1 within 0.001 */
    public StateProfile {
        frequencies = Collections.unmodifiableMap(new LinkedHashMap<>(frequencies));
        var refusals = new Refusals();
        double sum = 0;
        for (Map.Entry<String, Double> entry : frequencies.entrySet()) {
            refusals.requireShare(entry.getValue(), entry.getKey());
            sum += entry.getValue();
        }
        refusals.require(
                Math.abs(sum - 1) <= SUM_TOLERANCE, "", "frequencies that add up to " + sum, "a sum of 1 within 0.001");
        refusals.throwIfAny();
    }

    /** How often the state is met, in [0, 1]. */
    public double frequency(String stateId) {
        return frequencies.getOrDefault(stateId, 0.0);
    }
}
