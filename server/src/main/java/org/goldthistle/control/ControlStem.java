package org.goldthistle.control;

import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.core.plot.PolarPosition;
import org.springframework.lang.Nullable;

/**
 * A stem as it stands, for an observer.
 *
 * @param plotAt where its plot's centre is; null: not measured yet
 * @param standsAs what it stands as; {@code review} where that is kept from the observer
 * @param standsName common name of it; null: none
 * @param determinationId what was signed last; null, as the next two: nothing that the observer may see
 */
record ControlStem(
        UUID id,
        UUID plotId,
        String plotCode,
        @Nullable GeoPosition plotAt,
        int tag,
        PolarPosition at,
        int diameterMillimetres,
        @Nullable String groupId,
        @Nullable String plainTaxon,
        String standsAs,
        @Nullable String standsName,
        @Nullable UUID determinationId,
        @Nullable UUID sheetVersionId,
        @Nullable String taxonId) {

    /** Where it stands. */
    Optional<GeoPosition> position() {
        return Optional.ofNullable(plotAt).map(centre -> centre.at(at.azimuthDegrees(), at.distanceMetres()));
    }
}
