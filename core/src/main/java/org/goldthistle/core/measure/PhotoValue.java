package org.goldthistle.core.measure;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.function.UnaryOperator;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.Measured;

/**
 * The value that comes of points tapped on a photo, and how far off it may be: a tap is off by {@value #TAP} pixels of the
 * screen, one standard deviation in each direction, so with {@code J} the derivative of the value by every tapped
 * coordinate, those of the scale included, {@code σ² = Σ (τ/zoom)²·J²}, each at the zoom at which it was tapped.
 *
 * @param measured what is taken
 * @param taps the points of each part, in pixels of the photo, in the order of {@link Taking#onPhoto}
 * @param scale what tells how large things are
 */
public record PhotoValue(Measured measured, List<List<Point>> taps, PhotoScale scale) {
    /** How far a tap is off, in pixels of the screen. */
    public static final double TAP = 1.5;

    private static final double STEP = 0.25; // pixels of the photo, by which the derivative is taken
    private static final double ONE_PLACE = 1; // pixels, closer than which two taps are one

    /** @throws RefusedException if a part is not tapped as it is asked for, or nothing can come of it */
    public PhotoValue {
        taps = taps.stream().map(List::copyOf).toList();
        List<Taking.TappedPart> asked = Taking.onPhoto(measured);
        if (taps.size() != asked.size()) {
            throw RefusedException.of("parts", taps.size() + " parts", asked.size() + " parts");
        }
        for (int i = 0; i < asked.size(); i++) {
            require(asked.get(i), i, taps.get(i));
        }
        if (Taking.needsScale(measured) && !scale.tellsLengths()) {
            throw RefusedException.of(
                    "scale", "a photo without a scale", "a ruler's stretch or the card beside the leaf, for a length");
        }
    }

    private static void require(Taking.TappedPart asked, int i, List<Point> points) {
        String key = "parts[" + i + "]";
        if (points.size() < asked.fewest() || points.size() > asked.most()) {
            throw RefusedException.of(
                    key,
                    points.size() + " taps",
                    asked.words() + ": "
                            + (asked.fewest() == asked.most()
                                    ? asked.fewest() + " taps"
                                    : asked.fewest() + " to " + asked.most() + " taps"));
        }
        for (int k = 0; k < points.size(); k++) {
            if (!points.get(k).isFinite()) {
                throw RefusedException.of(key, "a tap that is nowhere", "taps on the photo");
            }
            if (k > 0 && points.get(k).to(points.get(k - 1)) < ONE_PLACE) {
                throw RefusedException.of(key, "two taps on one place", asked.words() + ", each place once");
            }
        }
    }

    /**
     * Reckons the value, all of it tapped at one zoom.
     *
     * @param zoom pixels of the screen for one of the photo, above 0
     * @throws RefusedException if nothing can come of the taps
     */
    public Estimate estimate(double zoom) {
        return estimate(Collections.nCopies(allTaps(), zoom));
    }

    /**
     * Reckons the value.
     *
     * @param zooms of each tap, part by part, then of the scale: pixels of the screen for one of the photo when it was
     *     made or last moved, above 0
     * @throws RefusedException if nothing can come of the taps
     */
    public Estimate estimate(List<Double> zooms) {
        if (zooms.size() != allTaps()) {
            throw RefusedException.of("zoom", zooms.size() + " of them", "one for each of " + allTaps() + " taps");
        }
        for (double zoom : zooms) {
            if (!(zoom > 0 && Double.isFinite(zoom))) {
                throw RefusedException.of("zoom", String.valueOf(zoom), "pixels of the screen for one of the photo");
            }
        }
        double value = value();
        if (measured instanceof Measured.Count || measured instanceof Measured.Difference) {
            return new Estimate(value, 0);
        }
        double variance = 0;
        Iterator<Double> zoom = zooms.iterator();
        for (int part = 0; part < taps.size(); part++) {
            for (int i = 0; i < taps.get(part).size(); i++) {
                variance += (square(part, i, STEP, 0) + square(part, i, 0, STEP)) * square(TAP / zoom.next());
            }
        }
        for (int i = 0; i < scale.taps().size(); i++) {
            variance += (square(i, STEP, 0) + square(i, 0, STEP)) * square(TAP / zoom.next());
        }
        return new Estimate(value, Math.sqrt(variance));
    }

    private int allTaps() {
        return taps.stream().mapToInt(List::size).sum() + scale.taps().size();
    }

    private static double square(double length) {
        return length * length;
    }

    private double square(int part, int i, double dx, double dy) {
        double slope =
                (movedTap(part, i, dx, dy).value() - movedTap(part, i, -dx, -dy).value()) / (2 * STEP);
        return square(slope);
    }

    private double square(int i, double dx, double dy) {
        double slope = (new PhotoValue(measured, taps, scale.movedTap(i, dx, dy)).value()
                        - new PhotoValue(measured, taps, scale.movedTap(i, -dx, -dy)).value())
                / (2 * STEP);
        return square(slope);
    }

    private PhotoValue movedTap(int part, int i, double dx, double dy) {
        List<List<Point>> moved = new ArrayList<>(taps);
        List<Point> points = new ArrayList<>(moved.get(part));
        points.set(i, points.get(i).plus(dx, dy));
        moved.set(part, points);
        return new PhotoValue(measured, moved, scale);
    }

    private double value() {
        UnaryOperator<Point> plane = scale.plane();
        List<List<Point>> on =
                taps.stream().map(part -> part.stream().map(plane).toList()).toList();
        if (measured instanceof Measured.Line) {
            return length(on.get(0));
        }
        if (measured instanceof Measured.Ratio) {
            return length(on.get(0)) / length(on.get(1));
        }
        if (measured instanceof Measured.Angle) {
            return angle(at(on, 0), at(on, 1), at(on, 2));
        }
        if (measured instanceof Measured.Count) {
            return on.get(0).size();
        }
        if (measured instanceof Measured.Difference) {
            return difference(on.get(0).size(), on.get(1).size());
        }
        return onAxis(on);
    }

    private double onAxis(List<List<Point>> on) {
        Point from = at(on, 0);
        Point to = at(on, 1);
        double axis = from.to(to);
        if (!(axis > 0)) {
            throw RefusedException.of("parts", "an axis without length", "two ends that are apart");
        }
        Point along = new Point((to.x() - from.x()) / axis, (to.y() - from.y()) / axis);
        if (measured instanceof Measured.WidthAt) {
            return Math.abs(along.cross(on.get(2).get(1).minus(on.get(2).get(0))));
        }
        if (measured instanceof Measured.Place) {
            return at(on, 2).minus(from).dot(along) / axis;
        }
        double notch = Math.abs(along.cross(at(on, 2).minus(from)));
        double lobe = Math.abs(along.cross(at(on, 3).minus(from)));
        if (!(lobe > 0)) {
            throw RefusedException.of("parts", "a lobe on the axis", "the tip of a lobe beside it");
        }
        return (lobe - notch) / lobe;
    }

    private static double difference(int of, int less) {
        if (of < less) {
            throw RefusedException.of("parts", of + " less " + less, "no less of the first than of the second");
        }
        return of - less;
    }

    private static Point at(List<List<Point>> on, int part) {
        return on.get(part).get(0);
    }

    private static double length(List<Point> line) {
        double length = 0;
        for (int i = 1; i < line.size(); i++) {
            length += line.get(i - 1).to(line.get(i));
        }
        return length;
    }

    private static double angle(Point corner, Point one, Point other) {
        Point a = one.minus(corner);
        Point b = other.minus(corner);
        return Math.toDegrees(Math.abs(Math.atan2(a.cross(b), a.dot(b))));
    }
}
