package org.goldthistle.core.reading;

import java.util.Optional;
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
 */
public record Reading(
        String character,
        Observed observed,
        Certainty certainty,
        Optional<Material> material,
        Optional<Position> position)
        implements Observation {}
