package org.goldthistle.formats;

/**
 * What a tree was determined as, in files that are written: for those who read them, never read back.
 *
 * @param standsAs plain, open, the outcome that was signed last, or review: whoever exports it is still to read it blind
 * @param name common name of what was signed; null: nothing
 * @param by call sign of who signed last; null: nobody
 * @param on the day, as 2026-09-14; null: none
 */
public record Determined(String standsAs, String name, String by, String on) {}
