package org.goldthistle.core;

/** Guards against a programmer's mistake; data that a person wrote is checked by {@link Refusals}. */
public final class Require {
    private Require() {}

    /**
     * @param holds the condition that must hold, written so that a NaN fails it
     * @throws IllegalArgumentException with the rule and the value, unless it holds
     */
    public static void that(boolean holds, String rule, double value) {
        if (!holds) {
            throw new IllegalArgumentException(rule + ", but it is " + value);
        }
    }

    /** @throws IllegalArgumentException with the rule, unless the condition holds */
    public static void that(boolean holds, String rule) {
        if (!holds) {
            throw new IllegalArgumentException(rule);
        }
    }
}
