package org.goldthistle.core.reading;

import java.util.Optional;
import java.util.OptionalInt;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Position;

/**
 * One character of one tree, read by one observer.
 *
 * @param character id of the character
 * @param observed what was seen
 * @param certainty of the observer
 * @param material where the material came from; empty: as the context says
 * @param position where in the crown it grew; empty: as the context says
 * @param month it was read in, 1-12, by which it is in season or not; empty: the context's
 */
public record Reading(
        String character,
        Observed observed,
        Certainty certainty,
        Optional<Material> material,
        Optional<Position> position,
        OptionalInt month)
        implements Observation {

    /** @throws org.goldthistle.core.RefusedException if the month is out of range */
    public Reading {
        Context.requireMonth(month);
    }

    /** Read on the visit in hand. */
    public Reading(
            String character,
            Observed observed,
            Certainty certainty,
            Optional<Material> material,
            Optional<Position> position) {
        this(character, observed, certainty, material, position, OptionalInt.empty());
    }

    /** The same, read in a month, 1-12. */
    public Reading madeIn(int other) {
        return new Reading(character, observed, certainty, material, position, OptionalInt.of(other));
    }
}
