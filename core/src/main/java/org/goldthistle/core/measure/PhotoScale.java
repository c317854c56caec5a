package org.goldthistle.core.measure;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import org.goldthistle.core.RefusedException;

/**
 * What on a photo tells how large things are: nothing, a ruler of which a stretch was tapped, or the four crosses of the
 * scale card, by which a slanted picture is set straight.
 *
 * @param taps on the photo, in pixels: none, the two ends of the stretch, or the four crosses in any order
 * @param millimetres between the two ends; 0: of the card or none
 */
public record PhotoScale(List<Point> taps, double millimetres) {
    /** The longer side of the rectangle that the card's crosses stand on, in mm. */
    public static final double CARD_LONG = 90;
    /** The shorter side of it, in mm. */
    public static final double CARD_SHORT = 60;
    /** The bar on the card by which its printer is checked, in mm. */
    public static final double CARD_BAR = 50;

    private static final int RULER = 2;
    private static final int CARD = 4;
    private static final double FINEST = 0.005; // mm per pixel; a card that fills twelve megapixels is at 0.025
    private static final double COARSEST = 2;
    private static final double BENT = 0.02; // by which the bar may be off
    private static final double SLANTED = 0.03; // by which two rulers may differ
    private static final double SQUARE = 1.04; // longer over shorter; from 45° along its long side a card looks so

    private static final List<Point> ON_CARD = List.of(
            new Point(0, 0), new Point(CARD_LONG, 0), new Point(CARD_LONG, CARD_SHORT), new Point(0, CARD_SHORT));

    /** Nothing that tells a scale: enough for angles, counts and whatever is one length over another. */
    public static final PhotoScale NONE = new PhotoScale(List.of(), 0);

    /** @throws RefusedException if it is neither none, nor a ruler's stretch, nor a card */
    public PhotoScale {
        taps = List.copyOf(taps);
        if (taps.stream().anyMatch(tap -> !tap.isFinite())) {
            throw RefusedException.of("scale", "a tap that is nowhere", "taps on the photo");
        }
        switch (taps.size()) {
            case 0 -> {}
            case RULER -> requireStretch(taps, millimetres);
            case CARD -> requireCard(inOrder(taps));
            default ->
                throw RefusedException.of(
                        "scale",
                        taps.size() + " taps",
                        "the two ends of a ruler's stretch, or the card's four crosses");
        }
    }

    /** A stretch of a ruler. */
    public static PhotoScale ruler(Point from, Point to, double millimetres) {
        return new PhotoScale(List.of(from, to), millimetres);
    }

    /** The crosses of the card, in any order. */
    public static PhotoScale card(List<Point> crosses) {
        return new PhotoScale(crosses, 0);
    }

    /** Whether lengths in mm come out. */
    public boolean tellsLengths() {
        return !taps.isEmpty();
    }

    PhotoScale movedTap(int i, double dx, double dy) {
        List<Point> moved = new ArrayList<>(taps);
        moved.set(i, taps.get(i).plus(dx, dy));
        return new PhotoScale(moved, millimetres);
    }

    /** From the photo to the plane of what lies on it, in mm, or in pixels where nothing tells a scale. */
    UnaryOperator<Point> plane() {
        if (taps.isEmpty()) {
            return UnaryOperator.identity();
        }
        if (taps.size() == RULER) {
            double scale = perPixel(taps, millimetres);
            return p -> new Point(p.x() * scale, p.y() * scale);
        }
        return onCard(inOrder(taps))::at;
    }

    /** From the plane back to the photo. */
    UnaryOperator<Point> photo() {
        if (taps.isEmpty()) {
            return UnaryOperator.identity();
        }
        if (taps.size() == RULER) {
            double scale = perPixel(taps, millimetres);
            return p -> new Point(p.x() / scale, p.y() / scale);
        }
        return Homography.of(ON_CARD, inOrder(taps))::at;
    }

    /**
     * Holds the bar on the card against what comes out.
     *
     * @return how long it comes out, in mm
     * @throws RefusedException if it is off by more than 2 %: the card is bent, half hidden, or printed at another size
     */
    public double checkBar(Point from, Point to) {
        UnaryOperator<Point> plane = plane();
        double measured = plane.apply(from).to(plane.apply(to));
        if (!(Math.abs(measured - CARD_BAR) <= BENT * CARD_BAR)) {
            throw RefusedException.of(
                    "card",
                    "a bar of " + Math.round(10 * measured) / 10.0 + " mm",
                    "50 mm within 2 %; lay the card flat and whole beside the leaf, and print it at its own size");
        }
        return measured;
    }

    /**
     * Holds a ruler against a second stretch, that lies across it.
     *
     * @throws RefusedException if their scales differ by more than 3 %: the picture is slanted, which a ruler cannot mend
     */
    public void checkAcross(PhotoScale other) {
        double one = perPixel(taps, millimetres);
        double two = perPixel(other.taps, other.millimetres);
        double off = Math.abs(one - two) / Math.min(one, two);
        if (off > SLANTED) {
            throw RefusedException.of(
                    "scale",
                    "a slanted picture: the two stretches differ by " + Math.round(100 * off) + " %",
                    "one taken from straight above, or the scale card, for which a slant is no fault");
        }
    }

    private static double perPixel(List<Point> stretch, double millimetres) {
        return millimetres / stretch.get(0).to(stretch.get(1));
    }

    private static void requireStretch(List<Point> taps, double millimetres) {
        if (!(millimetres > 0 && Double.isFinite(millimetres))) {
            throw RefusedException.of("scale", millimetres + " mm", "how many millimetres lie between the two taps");
        }
        if (!(taps.get(0).to(taps.get(1)) >= 1)) {
            throw RefusedException.of("scale", "two taps on one place", "the two ends of a stretch of the ruler");
        }
        requireReadable(perPixel(taps, millimetres));
    }

    private static void requireReadable(double perPixel) {
        if (!(perPixel >= FINEST && perPixel <= COARSEST)) {
            throw RefusedException.of(
                    "scale",
                    Math.round(1000 * perPixel) / 1000.0 + " mm a pixel",
                    "0.005 to 2 mm a pixel; is that the stretch, or the card?");
        }
    }

    /** The crosses by their angle about their middle, the side to the second being a longer one of the card. */
    private static List<Point> inOrder(List<Point> taps) {
        double x = taps.stream().mapToDouble(Point::x).average().orElseThrow();
        double y = taps.stream().mapToDouble(Point::y).average().orElseThrow();
        List<Point> around = new ArrayList<>(taps);
        around.sort(Comparator.comparingDouble(p -> Math.atan2(p.y() - y, p.x() - x)));
        if (longer(around) < shorter(around)) {
            around.add(around.remove(0));
        }
        return around;
    }

    private static double longer(List<Point> around) {
        return around.get(0).to(around.get(1)) + around.get(2).to(around.get(3));
    }

    private static double shorter(List<Point> around) {
        return around.get(1).to(around.get(2)) + around.get(3).to(around.get(0));
    }

    private static void requireCard(List<Point> crosses) {
        for (int i = 0; i < CARD; i++) {
            Point a = crosses.get(i);
            Point b = crosses.get((i + 1) % CARD);
            Point c = crosses.get((i + 2) % CARD);
            double turn = b.minus(a).cross(c.minus(b));
            double flat = a.to(b) * b.to(c);
            if (!(turn > 0.02 * flat)) {
                throw RefusedException.of(
                        "crosses",
                        "three that lie on one line, or one between the others",
                        "the four crosses of the card, each once");
            }
        }
        if (longer(crosses) < SQUARE * shorter(crosses)) {
            throw RefusedException.of(
                    "crosses",
                    "a card that looks square, seen too steeply along its longer side",
                    "a photo from further above, on which the longer side looks longer");
        }
        Homography plane = onCard(crosses);
        Point middle = new Point(
                crosses.stream().mapToDouble(Point::x).average().orElseThrow(),
                crosses.stream().mapToDouble(Point::y).average().orElseThrow());
        requireReadable(plane.at(middle).to(plane.at(middle.plus(1, 0))));
        requireReadable(plane.at(middle).to(plane.at(middle.plus(0, 1))));
    }

    private static Homography onCard(List<Point> crosses) {
        return Homography.of(crosses, ON_CARD);
    }
}
