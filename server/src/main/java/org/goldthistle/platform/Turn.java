package org.goldthistle.platform;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * What a write waits for: that nobody else writes to a thing, or only that nobody changes the thing itself meanwhile.
 *
 * @param key in the database
 * @param beside whether others that do not change the thing either may go on at once
 */
public record Turn(Thing thing, long key, boolean beside) {

    /** What writes take turns at; each write takes its turns in this order, so that no two wait for each other. */
    public enum Thing {
        /** Who may do what. */
        PEOPLE,
        /** What one observer begins for themselves. */
        OBSERVER,
        /** A survey itself: its settings, and whether it is open. */
        SURVEY,
        /** Which plots a survey has. */
        PLOTS,
        /** A plot itself, its stems, and whether it is open. */
        PLOT,
        /** What is signed and decided of a tree. */
        TREE,
        /** One observer's work on a tree. */
        CALL,
        /** Something whose id was made in a browser. */
        ENTRY,
        /** The versions of a group's sheet. */
        SHEET
    }

    /** Waits until nobody else writes to a thing. */
    public static Turn alone(Thing thing, Object... id) {
        return new Turn(thing, key(thing, id), false);
    }

    /** Waits until nobody changes a thing. */
    public static Turn beside(Thing thing, Object... id) {
        return new Turn(thing, key(thing, id), true);
    }

    private static long key(Thing thing, Object... id) {
        String name = thing + Arrays.stream(id).map(String::valueOf).collect(Collectors.joining(" ", " ", ""));
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)).getMostSignificantBits();
    }
}
