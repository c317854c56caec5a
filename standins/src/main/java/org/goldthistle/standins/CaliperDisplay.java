package org.goldthistle.standins;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What a caliper's display sends at each press of its button, with the noise of a worn one if that is wanted. */
final class CaliperDisplay {
    private static final double INCH = 25.4; // mm
    private static final double FURTHEST = 150; // mm that the jaws open
    private static final int TWICE_EVERY = 3; // presses, of a worn button that bounces
    private static final int CUT_EVERY = 5; // presses, of a worn cable

    private int presses;

    /**
     * The lines of one press.
     *
     * @param millimetres between the jaws, 0-150
     * @param inInches whether its display is set to inches
     * @param isWorn whether every third press is sent twice and every fifth is cut short
     * @throws IllegalArgumentException if the jaws do not open that far
     */
    List<String> press(double millimetres, boolean inInches, boolean isWorn) {
        if (!(millimetres >= 0 && millimetres <= FURTHEST)) {
            throw new IllegalArgumentException("The jaws open 0 to 150 mm, not " + millimetres + ".");
        }
        presses++;
        String line = inInches
                ? String.format(Locale.ROOT, "+%09.4f in", millimetres / INCH)
                : String.format(Locale.ROOT, "+%07.2f mm", millimetres);
        List<String> lines = new ArrayList<>();
        if (isWorn && presses % CUT_EVERY == 0) {
            lines.add(line.substring(0, line.length() / 2));
            return lines;
        }
        lines.add(line);
        if (isWorn && presses % TWICE_EVERY == 0) {
            lines.add(line);
        }
        return lines;
    }
}
