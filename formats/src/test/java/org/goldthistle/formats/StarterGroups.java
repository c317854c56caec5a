package org.goldthistle.formats;

import java.util.List;
import java.util.stream.Stream;

/** Fifteen groups with worked specimens: those of the built-in library, and six that have no drawings yet. */
final class StarterGroups {
    private static final List<String> WITHOUT_DRAWINGS =
            List.of("oaks", "ashes", "black-poplars", "white-poplars", "pines", "whitebeams");

    private StarterGroups() {}

    static List<String> all() {
        return Stream.concat(BuiltInLibrary.GROUPS.stream(), WITHOUT_DRAWINGS.stream())
                .toList();
    }

    static String sheetText(String group) {
        return WITHOUT_DRAWINGS.contains(group)
                ? SchemaFile.text("/groups/" + group + ".json")
                : BuiltInLibrary.sheetText(group);
    }

    static String specimensText(String group) {
        return WITHOUT_DRAWINGS.contains(group)
                ? SchemaFile.text("/groups/" + group + ".specimens.json")
                : BuiltInLibrary.specimensText(group);
    }
}
