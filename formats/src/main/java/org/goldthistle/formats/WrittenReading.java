package org.goldthistle.formats;

import java.util.List;

/**
 * What was read of one character on a tree, in files that are written; never read back.
 *
 * @param id by which it is known for ever
 * @param group id of the confusable group
 * @param sheetVersion of that group's sheet, on which it was read
 * @param character id and name of the character
 * @param unit of its values; empty: it has none
 * @param by call sign of who read it
 * @param on the day, as 2026-09-14
 * @param looks one for each replicate; empty: nothing was seen
 * @param seen "seen", "not seen" or "none borne"
 * @param certainty code, as the next two; null: it was not said
 */
public record WrittenReading(
        String id,
        String group,
        int sheetVersion,
        Named character,
        String unit,
        String by,
        String on,
        List<Look> looks,
        String seen,
        String certainty,
        String material,
        String position) {

    /** An id with the words for it. */
    public record Named(String id, String name) {}

    /**
     * One replicate: a state or a value.
     *
     * @param state null: it is a value
     * @param value in the character's unit; null: it is a state
     * @param error one standard deviation; null: nothing is known of that
     * @param parts what the value was taken from, in the order that the sheet asks; empty: it was said itself
     */
    public record Look(Named state, Double value, Double error, List<Double> parts) {}
}
