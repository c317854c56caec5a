package org.goldthistle.core.practice;

/**
 * How well something sits: section 14. After Δ days it is still known with the chance {@code 2^(−Δ/h)}.
 *
 * @param halfLife h, in days, at least {@value #SHORTEST}
 * @param day when it was last tried, in days of any calendar
 * @see "Settles and Meeder 2016, A trainable spaced repetition model, ACL; its half-life regression without features"
 */
public record Remembered(double halfLife, double day) {
    /** The share that is still known below which it is due. */
    public static final double DUE = 0.85;

    private static final double FIRST = 1;
    private static final double SHORTEST = 0.5;
    private static final double GROWS = 2.2;
    private static final double SHRINKS = 0.35;

    /** After the first try. */
    public static Remembered first(boolean right, double day) {
        return new Remembered(FIRST, day).tried(right, day);
    }

    /** After another one. */
    public Remembered tried(boolean right, double today) {
        double passed = Math.max(0, today - day);
        return new Remembered(
                right ? Math.max(FIRST, GROWS * Math.max(halfLife, passed)) : Math.max(SHORTEST, SHRINKS * halfLife),
                today);
    }

    /** The chance that it is still known, in (0, 1]. */
    public double known(double today) {
        return Math.pow(2, -Math.max(0, today - day) / halfLife);
    }

    /** Whether it is time to try it again. */
    public boolean isDue(double today) {
        return known(today) < DUE;
    }

    /** How much has slipped since it should have been tried again, 0 where it is not due. */
    public double slipped(double today) {
        return Math.max(0, DUE - known(today));
    }
}
