package org.goldthistle.core.practice;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.Observation;

/**
 * What somebody made of a practice tree.
 *
 * @param observations in the order in which they were entered
 * @param gate marks in the order in which they were made
 * @param named id of the taxon; empty: see {@code noneOfThese}
 * @param noneOfThese whether it was called none of these; where it was not named either, it was left open
 */
public record PracticeCall(
        List<? extends Observation> observations, List<GateMark> gate, Optional<String> named, boolean noneOfThese) {

    /** Copies the lists. */
    public PracticeCall {
        observations = List.copyOf(observations);
        gate = List.copyOf(gate);
    }

    /** Whether no name was given. */
    public boolean isOpen() {
        return named.isEmpty() && !noneOfThese;
    }
}
