package org.goldthistle.formats.plain;

import java.util.Locale;
import java.util.OptionalDouble;
import org.goldthistle.core.RefusedException;

/**
 * Reads the lines that a caliper sends, one a press of its button: a sign, digits with a point or a comma, and mm or in. A line
 * that is no value is told and dropped; the same line again within {@value #BOUNCE} ms is the same press.
 */
public final class CaliperLines {
    /** Milliseconds within which the same line again is the same press. */
    public static final int BOUNCE = 300;

    private static final double INCH = 25.4; // mm
    private static final double FURTHEST = 1000; // mm, more than any caliper opens
    private static final int UNIT = 2; // letters
    private static final int SHOWN = 24; // letters

    private String last = "";
    private double lastAt = Double.NEGATIVE_INFINITY;

    /**
     * Reads a line.
     *
     * @param at when it came, in milliseconds of any clock that runs on
     * @return in mm; empty: it is the press before once more
     * @throws RefusedException if it is no value of 0 to 1000 mm
     */
    public OptionalDouble read(String line, double at) {
        double millimetres = millimetres(line);
        boolean isRepeated = line.equals(last) && at - lastAt < BOUNCE;
        last = line;
        lastAt = at;
        return isRepeated ? OptionalDouble.empty() : OptionalDouble.of(millimetres);
    }

    private static double millimetres(String line) {
        String text = line.strip().toLowerCase(Locale.ROOT);
        boolean isInches = text.endsWith("in");
        if (!isInches && !text.endsWith("mm")) {
            throw refused(line, "mm or in at its end; perhaps it was cut short");
        }
        String digits = text.substring(0, text.length() - UNIT).strip().replace(',', '.');
        if (!isNumber(digits)) {
            throw refused(line, "a number before its unit");
        }
        double millimetres = Double.parseDouble(digits) * (isInches ? INCH : 1);
        if (!(millimetres >= 0 && millimetres <= FURTHEST)) {
            throw refused(line, "0 to 1000 mm; is the caliper set to zero?");
        }
        return millimetres;
    }

    /** Digits, perhaps behind a sign, perhaps with one point among them. */
    private static boolean isNumber(String text) {
        int from = text.startsWith("+") || text.startsWith("-") ? 1 : 0;
        int points = 0;
        for (int i = from; i < text.length(); i++) {
            char sign = text.charAt(i);
            boolean isPoint = sign == '.' && i > from && i < text.length() - 1;
            if (isPoint) {
                points++;
            } else if (sign < '0' || sign > '9') {
                return false;
            }
        }
        return text.length() > from && points <= 1;
    }

    private static RefusedException refused(String line, String expected) {
        String shown = line.length() > SHOWN ? line.substring(0, SHOWN) + "…" : line;
        return RefusedException.of("line", "“" + shown + "”", expected);
    }
}
