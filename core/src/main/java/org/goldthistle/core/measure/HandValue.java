package org.goldthistle.core.measure;

import java.util.List;
import java.util.OptionalDouble;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.Measured;

/** The value that comes of typed parts. */
public final class HandValue {
    private HandValue() {}

    /**
     * Reckons a value.
     *
     * @param parts one number a part, in the order of {@link Taking#byHand}
     * @throws RefusedException if a part is missing or cannot be, or nothing can come of them
     */
    public static double of(Measured measured, List<Double> parts) {
        List<Taking.HandPart> asked = Taking.byHand(measured);
        if (parts.size() != asked.size()) {
            throw RefusedException.of(
                    "parts",
                    parts.size() + " parts",
                    asked.size() == 1 ? "one part" : asked.size() + " parts: " + words(asked));
        }
        for (int i = 0; i < parts.size(); i++) {
            require(asked.get(i), i, parts.get(i));
        }
        double first = parts.get(0);
        if (measured instanceof Measured.Ratio || measured instanceof Measured.Place) {
            return over(first, parts.get(1));
        }
        if (measured instanceof Measured.Difference) {
            return notNegative(first - parts.get(1), asked);
        }
        if (measured instanceof Measured.Depth) {
            return notNegative(over(first - parts.get(1), first), asked);
        }
        return first;
    }

    /** What one length over another is where they were typed the other way round; empty: nothing that could be turned. */
    public static OptionalDouble turned(Measured measured, double value) {
        return measured instanceof Measured.Ratio && value > 0 ? OptionalDouble.of(1 / value) : OptionalDouble.empty();
    }

    private static void require(Taking.HandPart asked, int i, double value) {
        String key = "parts[" + i + "]";
        if (!(value >= 0 && Double.isFinite(value))) {
            throw RefusedException.of(key, String.valueOf(value), asked.words() + ", 0 or more");
        }
        if (asked.counts() && value != Math.rint(value)) {
            throw RefusedException.of(key, String.valueOf(value), asked.words() + " as a whole number");
        }
    }

    private static double over(double above, double below) {
        if (!(below > 0)) {
            throw RefusedException.of("parts", "a length of 0 to divide by", "a length above 0");
        }
        return above / below;
    }

    private static double notNegative(double value, List<Taking.HandPart> asked) {
        if (value < 0) {
            throw RefusedException.of(
                    "parts",
                    "more of the second than of the first",
                    "no less of " + asked.get(0).words());
        }
        return value;
    }

    private static String words(List<Taking.HandPart> asked) {
        return String.join(", ", asked.stream().map(Taking.HandPart::words).toList());
    }
}
