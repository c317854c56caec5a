package org.goldthistle.core.plot;

import org.goldthistle.core.Refusals;

/**
 * A place on the ground, WGS 84.
 *
 * @param latitude degrees north, in [-90, 90]
 * @param longitude degrees east, in [-180, 180]
 */
public record GeoPosition(double latitude, double longitude) {
    /** Mean radius of the Earth, (2a + b)/3 of WGS 84; a plot is far too small for its flattening to matter. */
    private static final double EARTH_RADIUS_METRES = 6_371_008.8;

    /** @throws org.goldthistle.core.RefusedException if a coordinate is out of range */
    public GeoPosition {
        var refusals = new Refusals();
        refusals.require(latitude >= -90 && latitude <= 90, "latitude", latitude, "degrees north from -90 to 90");
        refusals.require(
                longitude >= -180 && longitude <= 180, "longitude", longitude, "degrees east from -180 to 180");
        refusals.throwIfAny();
    }

    /**
     * The place at a distance along a bearing, on a sphere: {@code sin φ' = sin φ cos δ + cos φ sin δ cos θ},
     * {@code λ' = λ + atan2(sin θ sin δ cos φ, cos δ − sin φ sin φ')}.
     *
     * @param azimuthDegrees clockwise from true north
     * @param distanceMetres 0 or more
     */
    public GeoPosition at(double azimuthDegrees, double distanceMetres) {
        double bearing = Math.toRadians(azimuthDegrees);
        double angle = distanceMetres / EARTH_RADIUS_METRES;
        double phi = Math.toRadians(latitude);
        double sine = Math.sin(phi) * Math.cos(angle) + Math.cos(phi) * Math.sin(angle) * Math.cos(bearing);
        double east =
                Math.atan2(Math.sin(bearing) * Math.sin(angle) * Math.cos(phi), Math.cos(angle) - Math.sin(phi) * sine);
        double turned = longitude + Math.toDegrees(east);
        double longitudeThere = turned > 180 ? turned - 360 : turned < -180 ? turned + 360 : turned;
        return new GeoPosition(Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, sine)))), longitudeThere);
    }

    /** Metres to another place along the sphere, by the haversine, which keeps its digits over a few metres. */
    public double distanceTo(GeoPosition other) {
        double phi = Math.toRadians(latitude);
        double phiThere = Math.toRadians(other.latitude);
        double north = Math.sin((phiThere - phi) / 2);
        double east = Math.sin(Math.toRadians(other.longitude - longitude) / 2);
        double square = north * north + Math.cos(phi) * Math.cos(phiThere) * east * east;
        return 2 * EARTH_RADIUS_METRES * Math.asin(Math.min(1, Math.sqrt(square)));
    }

    /** Bearing to another place, degrees clockwise from true north in [0, 360); 0 to the place itself. */
    public double azimuthTo(GeoPosition other) {
        double phi = Math.toRadians(latitude);
        double phiThere = Math.toRadians(other.latitude);
        double east = Math.toRadians(other.longitude - longitude);
        double bearing = Math.atan2(
                Math.sin(east) * Math.cos(phiThere),
                Math.cos(phi) * Math.sin(phiThere) - Math.sin(phi) * Math.cos(phiThere) * Math.cos(east));
        double degrees = (Math.toDegrees(bearing) + 360) % 360;
        return degrees == 360 ? 0 : degrees;
    }

    /**
     * The middle of the square of a grid in which the place lies, so that nobody finds the place by it. The grid begins at the
     * equator and at Greenwich; its squares are as wide as they are high at the latitude of their middle.
     *
     * @param metres side of a square, above 0
     */
    public GeoPosition inGridOf(double metres) {
        double north = Math.toDegrees(metres / EARTH_RADIUS_METRES);
        double row = middle(latitude, north);
        double there = Math.max(-90, Math.min(90, row));
        double east = north / Math.max(Math.cos(Math.toRadians(there)), north); // at a pole a square goes round it
        double column = middle(longitude, Math.min(east, 180));
        return new GeoPosition(there, Math.max(-180, Math.min(180, column)));
    }

    private static double middle(double degrees, double step) {
        return (Math.floor(degrees / step) + 0.5) * step;
    }
}
