package org.goldthistle.library;

import org.goldthistle.core.change.SheetChange;
import org.springframework.lang.Nullable;

/**
 * One thing that is different between two versions of a sheet.
 *
 * @param part sheet, taxon, gate, character, index, caution or source
 * @param name of the taxon, character … it concerns; empty for the sheet as a whole
 * @param what is different about it; empty: it was added, left out or reworded as a whole
 * @param before null: nothing was there
 * @param after null: nothing is there now
 */
public record ChangeDto(
        String part,
        String name,
        String what,
        @Nullable String before,
        @Nullable String after) {
    /** A change as it is told. */
    public static ChangeDto of(SheetChange change) {
        return new ChangeDto(
                change.part().code(),
                change.name(),
                change.what(),
                change.before().orElse(null),
                change.after().orElse(null));
    }
}
