package org.goldthistle.formats;

import java.util.Map;
import java.util.Set;
import org.goldthistle.core.laboratory.Analysis;

/**
 * What a laboratory publishes of itself.
 *
 * @param laboratory its name
 * @param errors of each analysis that it makes, how often its result is wrong, in (0, 0.5)
 * @param sets of chromosomes that taxa have, by scientific name; a taxon that is not named may have any
 */
public record LaboratoryMethods(String laboratory, Map<Analysis, Double> errors, Map<String, Set<Integer>> sets) {
    /** Copies the maps. */
    public LaboratoryMethods {
        errors = Map.copyOf(errors);
        sets = Map.copyOf(sets);
    }
}
