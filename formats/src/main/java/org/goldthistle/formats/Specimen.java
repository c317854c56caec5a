package org.goldthistle.formats;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.Observation;

/**
 * One tree as a file holds it: what was read, and for a worked specimen what it turned out to be.
 *
 * @param id unique in its file
 * @param context the circumstances
 * @param observations in the order in which they were entered
 * @param gate marks on the sheet's gate
 * @param truth id of the taxon it is, where known
 * @param expect whether a good expert would sign the species from these readings alone, where stated
 */
public record Specimen(
        String id,
        Context context,
        List<Observation> observations,
        List<GateMark> gate,
        Optional<String> truth,
        Optional<Expectation> expect) {

    /** Copies the lists. */
    public Specimen {
        observations = List.copyOf(observations);
        gate = List.copyOf(gate);
    }
}
