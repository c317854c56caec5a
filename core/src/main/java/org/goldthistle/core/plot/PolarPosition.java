package org.goldthistle.core.plot;

/**
 * Where a stem stands in its plot, seen from the plot's centre.
 *
 * @param azimuthDegrees clockwise from north, in [0, 360)
 * @param distanceMetres from the centre, 0 or more
 */
public record PolarPosition(double azimuthDegrees, double distanceMetres) {
    private static final int FULL_CIRCLE = 360;

    /** How far off a plot's centre may be that a receiver in the hand found under trees. */
    private static final double CENTRE_METRES = 10;

    /** How far off a bearing may be that a sighting compass gives beside a trunk. */
    private static final double BEARING_DEGREES = 2;

    /** How far off a taped distance may be, as a share of it. */
    private static final double TAPE_SHARE = 0.01;

    private double east() {
        return distanceMetres * Math.sin(Math.toRadians(azimuthDegrees));
    }

    private double north() {
        return distanceMetres * Math.cos(Math.toRadians(azimuthDegrees));
    }

    /** How far it is from here to there, in metres. */
    public double metresTo(PolarPosition there) {
        return Math.hypot(there.east() - east(), there.north() - north());
    }

    /** In which direction somebody walks from here to there: degrees clockwise from north, in [0, 360). */
    public double degreesTo(PolarPosition there) {
        double degrees = Math.toDegrees(Math.atan2(there.east() - east(), there.north() - north()));
        return degrees < 0 ? degrees + FULL_CIRCLE : degrees;
    }

    /** How far off, in metres, the place of a stem on the ground may be: centre, bearing and tape, each by itself. */
    public double uncertaintyMetres() {
        double across = distanceMetres * Math.sin(Math.toRadians(BEARING_DEGREES));
        return Math.hypot(CENTRE_METRES, Math.hypot(across, distanceMetres * TAPE_SHARE));
    }
}
