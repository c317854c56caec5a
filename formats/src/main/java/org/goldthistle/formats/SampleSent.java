package org.goldthistle.formats;

import java.util.List;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.Tissue;

/**
 * A sample as a laboratory is told of it.
 *
 * @param code on its label
 * @param takenOn day, as YYYY-MM-DD
 * @param taxa scientific names that it may be, in the order of the sheet
 * @param parents of whom a share is wanted, the first one's first; empty unless markers are asked for
 */
public record SampleSent(
        String code, Tissue tissue, String takenOn, Analysis analysis, List<String> taxa, List<String> parents) {
    /** Copies the lists. */
    public SampleSent {
        taxa = List.copyOf(taxa);
        parents = List.copyOf(parents);
    }
}
