package org.goldthistle.core.plot;

import java.util.Optional;
import java.util.OptionalDouble;
import org.goldthistle.core.Refusals;

/**
 * The circle whose stems are recorded.
 *
 * @param code by which the crew calls the plot
 * @param position of its centre; empty: not measured yet
 * @param radiusMetres 1 to 200
 * @param altitudeMetres above the sea, -500 to 9000
 */
public record PlotGround(
        String code, Optional<GeoPosition> position, double radiusMetres, OptionalDouble altitudeMetres) {
    private static final int LONGEST_CODE = 60;

    /** @throws org.goldthistle.core.RefusedException with everything that cannot be true */
    public PlotGround {
        code = code.strip();
        var refusals = new Refusals();
        refusals.require(!code.isEmpty() && code.length() <= LONGEST_CODE, "code", code, "a code of 1 to 60 letters");
        refusals.require(
                radiusMetres >= 1 && radiusMetres <= 200, "radiusMetres", radiusMetres, "a radius of 1 to 200 m");
        double altitude = altitudeMetres.orElse(0);
        refusals.require(
                altitude >= -500 && altitude <= 9000, "altitudeMetres", altitude, "an altitude of -500 to 9000 m");
        refusals.throwIfAny();
    }
}
