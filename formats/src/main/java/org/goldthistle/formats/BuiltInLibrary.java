package org.goldthistle.formats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The group sheets and worked specimens that ship with the application. */
public final class BuiltInLibrary {
    /** The ids of the groups, in the order in which they are shown. */
    public static final List<String> GROUPS = List.of(
            "birches",
            "limes",
            "larches",
            "bird-cherries",
            "alders",
            "hawthorns",
            "sallows",
            "firs",
            "buckthorns",
            "oaks",
            "ashes",
            "black-poplars",
            "white-poplars",
            "pines",
            "whitebeams");

    private BuiltInLibrary() {}

    /** The text of a group's sheet. */
    public static String sheetText(String group) {
        return text(group + ".json");
    }

    /** The text of a group's worked specimens. */
    public static String specimensText(String group) {
        return text(group + ".specimens.json");
    }

    private static String text(String file) {
        try (InputStream in = BuiltInLibrary.class.getResourceAsStream("/groups/" + file)) {
            if (in == null) {
                throw new IllegalArgumentException("no file " + file + " in the built-in library");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
