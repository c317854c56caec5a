package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** A key of the ground a tree stands on. */
public enum Habitat implements Coded {
    /** Dry. */
    DRY("dry"),
    /** Neither dry nor wet. */
    MESIC("mesic"),
    /** Wet. */
    WET("wet"),
    /** Waterlogged. */
    WATERLOGGED("waterlogged"),
    /** Along running water. */
    RIPARIAN("riparian"),
    /** Limy. */
    CALCAREOUS("calcareous"),
    /** Acid. */
    ACID("acid"),
    /** By the sea. */
    COASTAL("coastal"),
    /** Edge of wood or path. */
    EDGE("edge"),
    /** Under canopy. */
    SHADE("shade"),
    /** In settlement. */
    URBAN("urban");

    private final String code;

    Habitat(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
