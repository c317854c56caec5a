package org.goldthistle.survey;

import java.util.List;
import java.util.Locale;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.plot.GeoPosition;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.operation.distance.DistanceOp;

/** The land of a district; a plot outside it was measured or typed wrongly. */
final class DistrictOutline {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final int FEWEST_CORNERS = 3;

    private final Geometry land;

    private DistrictOutline(Geometry land) {
        this.land = land;
    }

    /**
     * @param corners longitude and latitude of each, in order; the last is joined to the first
     * @param refusals notes what makes it no outline
     */
    static void check(List<List<Double>> corners, Refusals refusals) {
        boolean pairs = corners.size() >= FEWEST_CORNERS
                && corners.stream()
                        .allMatch(corner ->
                                corner.size() == 2 && Math.abs(corner.get(0)) <= 180 && Math.abs(corner.get(1)) <= 90);
        refusals.require(pairs, "area", corners.size() + " corners", "three or more pairs of longitude and latitude");
        if (pairs) {
            refusals.require(polygon(corners).isValid(), "area", "an outline that crosses itself", "a simple outline");
        }
    }

    static DistrictOutline of(List<List<Double>> corners) {
        return new DistrictOutline(polygon(corners));
    }

    /** Notes a place outside the land, with how far outside it is. */
    void requireWithin(GeoPosition place, Refusals refusals) {
        var point = GEOMETRY.createPoint(new Coordinate(place.longitude(), place.latitude()));
        if (land.covers(point)) {
            return;
        }
        Coordinate nearest = DistanceOp.nearestPoints(land, point)[0];
        double kilometres = place.distanceTo(new GeoPosition(nearest.y, nearest.x)) / 1000;
        refusals.require(
                false,
                "position",
                String.format(Locale.ROOT, "%.5f° N, %.5f° E", place.latitude(), place.longitude()),
                String.format(
                        Locale.ROOT,
                        "a place on the district's land; this one lies %.1f km outside its outline, at sea or in"
                                + " another district",
                        kilometres));
    }

    private static Geometry polygon(List<List<Double>> corners) {
        Coordinate[] ring = new Coordinate[corners.size() + 1];
        for (int i = 0; i <= corners.size(); i++) {
            List<Double> corner = corners.get(i % corners.size());
            ring[i] = new Coordinate(corner.get(0), corner.get(1));
        }
        return GEOMETRY.createPolygon(ring);
    }
}
