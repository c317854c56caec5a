package org.goldthistle.core;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Collects what is wrong with a piece of data, so that its author hears of everything at once. */
public final class Refusals {
    private final List<Refusal> found = new ArrayList<>();

    /**
     * Notes a refusal unless the rule holds.
     *
     * @param holds the condition that must hold, written so that a NaN fails it
     */
    public void require(boolean holds, String key, Object value, String expected) {
        if (!holds) {
            found.add(new Refusal(key, shown(value), expected));
        }
    }

    /** Notes a refusal unless the value lies in [0, 1]. */
    public void requireShare(double value, String key) {
        require(value >= 0 && value <= 1, key, value, "a number from 0 to 1");
    }

    /** Notes a refusal unless the text says something. */
    public void requireText(String value, String key) {
        require(!value.isBlank(), key, value, "some text");
    }

    /** Notes every refusal of an inner record, its keys prefixed with where it stands. */
    public void addAll(String outer, RefusedException inner) {
        for (Refusal refusal : inner.refusals()) {
            found.add(refusal.within(outer));
        }
    }

    /**
     * Builds an inner value; if it refuses to be built, keeps its refusals under the given key.
     *
     * @return the value, or the stand-in when it was refused
     */
    public <T> T attempt(String key, Supplier<T> build, T standIn) {
        try {
            return build.get();
        } catch (RefusedException refused) {
            addAll(key, refused);
            return standIn;
        }
    }

    /** Whether nothing was refused so far. */
    public boolean isEmpty() {
        return found.isEmpty();
    }

    /** @throws RefusedException with everything noted so far, if anything was */
    public void throwIfAny() {
        if (!found.isEmpty()) {
            throw new RefusedException(found);
        }
    }

    private static String shown(Object value) {
        return value instanceof CharSequence text ? "\"" + text + "\"" : String.valueOf(value);
    }
}
