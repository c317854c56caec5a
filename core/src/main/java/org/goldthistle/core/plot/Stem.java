package org.goldthistle.core.plot;

import java.util.OptionalInt;
import org.goldthistle.core.Refusals;

/**
 * A stem as it was measured from its plot's centre.
 *
 * @param tag number on the stem, 1 to 99,999
 * @param azimuthDegrees clockwise from north, in [0, 360)
 * @param distanceMetres from the centre to the stem, within the plot's radius
 * @param diameterMillimetres at breast height, 1 to 2500; of saplings below that height at the foot
 * @param heightDecimetres 1 to 1500; empty: not measured
 */
public record Stem(
        int tag, double azimuthDegrees, double distanceMetres, int diameterMillimetres, OptionalInt heightDecimetres) {
    /** Highest number on a tag; the lowest is 1. */
    public static final int HIGHEST_TAG = 99_999;

    /** Diameter in mm that no tree of these forests comes near. */
    public static final int THICKEST = 2500;

    /** Height in dm that no tree comes near. */
    public static final int TALLEST = 1500;

    /** @throws org.goldthistle.core.RefusedException with every measure that cannot be true */
    public Stem {
        var refusals = new Refusals();
        refusals.require(tag >= 1 && tag <= HIGHEST_TAG, "tag", tag, "a whole number from 1 to 99999");
        refusals.require(
                azimuthDegrees >= 0 && azimuthDegrees < 360,
                "azimuthDegrees",
                azimuthDegrees,
                "degrees from 0 to below 360");
        refusals.require(
                distanceMetres >= 0 && Double.isFinite(distanceMetres),
                "distanceMetres",
                distanceMetres,
                "metres, 0 or more");
        refusals.require(
                diameterMillimetres >= 1 && diameterMillimetres <= THICKEST,
                "diameterMillimetres",
                diameterMillimetres,
                "1 to 2500 mm; no tree here is thicker");
        int height = heightDecimetres.orElse(1);
        refusals.require(height >= 1 && height <= TALLEST, "heightDecimetres", height, "1 to 1500 dm (150 m)");
        refusals.throwIfAny();
    }

    /** @throws org.goldthistle.core.RefusedException if it stands outside the plot */
    public void requireWithin(double plotRadiusMetres) {
        var refusals = new Refusals();
        refusals.require(
                distanceMetres <= plotRadiusMetres,
                "distanceMetres",
                distanceMetres,
                "metres within the plot, whose radius is " + plotRadiusMetres + " m");
        refusals.throwIfAny();
    }
}
