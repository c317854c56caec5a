package org.goldthistle.formats.plain;

import java.util.Map;

/** Knows what a drawing may ask for. */
public interface DrawingCheck {
    /** Takes every drawing as it is: where sheets come from that were checked before. */
    DrawingCheck NONE = drawing -> Map.of();

    /** What was expected of each parameter that does not fit, by its name; empty: all fit. */
    Map<String, String> breaks(Map<String, Object> drawing);
}
