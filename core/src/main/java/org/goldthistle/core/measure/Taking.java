package org.goldthistle.core.measure;

import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.sheet.Measured;

/**
 * What is asked for one value, part by part, and what comes of it.
 *
 * <p>By hand a part is a number: a length in mm, or a count. On a photo it is points.
 */
public final class Taking {
    private Taking() {}

    /**
     * A part as it is asked for.
     *
     * @param words what a crew member reads beside the drawing
     * @param counts whether it is counted; else it is a length in mm, or degrees of an angle
     */
    public record HandPart(String words, boolean counts) {}

    /**
     * A part as it is tapped.
     *
     * @param words what a crew member reads beside the drawing
     * @param fewest taps
     * @param most taps
     */
    public record TappedPart(String words, int fewest, int most) {}

    /** The parts of a value that is typed, in the order asked. */
    public static List<HandPart> byHand(Measured measured) {
        if (measured instanceof Measured.Ratio ratio) {
            return List.of(length(ratio.over()), length(ratio.under()));
        }
        if (measured instanceof Measured.Count count) {
            return List.of(new HandPart(count.of(), true));
        }
        if (measured instanceof Measured.Difference difference) {
            return List.of(new HandPart(difference.of(), true), new HandPart(difference.less(), true));
        }
        if (measured instanceof Measured.Place place) {
            return List.of(
                    length("from " + place.axis().from() + " to " + place.of()),
                    length("from " + place.axis().from() + " to " + place.axis().to()));
        }
        if (measured instanceof Measured.Depth depth) {
            return List.of(
                    length("from the midline to " + depth.lobe()), length("from the midline to " + depth.notch()));
        }
        if (measured instanceof Measured.Angle angle) {
            return List.of(length("angle at " + angle.corner()));
        }
        return List.of(length(measured.parts().get(measured.parts().size() - 1)));
    }

    private static HandPart length(String words) {
        return new HandPart(words, false);
    }

    /** The parts of a value that is tapped, in the order asked. */
    public static List<TappedPart> onPhoto(Measured measured) {
        List<TappedPart> parts = new ArrayList<>();
        List<String> words = measured.parts();
        boolean line = measured instanceof Measured.Line || measured instanceof Measured.Ratio;
        boolean many = measured instanceof Measured.Count || measured instanceof Measured.Difference;
        for (int i = 0; i < words.size(); i++) {
            boolean across = measured instanceof Measured.WidthAt && i == words.size() - 1;
            parts.add(new TappedPart(
                    words.get(i),
                    many ? 0 : line || across ? 2 : 1,
                    many ? MOST_COUNTED : line ? MOST_BENDS : across ? 2 : 1));
        }
        return parts;
    }

    /** Whether a photo must tell how large things are: what comes out is in mm. */
    public static boolean needsScale(Measured measured) {
        return measured instanceof Measured.Line || measured instanceof Measured.WidthAt;
    }

    /** Of one sort, on one leaf. */
    private static final int MOST_COUNTED = 500;

    /** Points of a line that bends. */
    private static final int MOST_BENDS = 40;
}
