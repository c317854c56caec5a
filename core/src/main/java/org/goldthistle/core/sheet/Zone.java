package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** How near one must be to read a character, from far to near: the order of the work. */
public enum Zone implements Coded {
    /** From a distance. */
    STAND_OFF("stand-off"),
    /** At the trunk. */
    TRUNK("trunk"),
    /** With the part in the hand. */
    HAND("hand"),
    /** With a lens. */
    LENS("lens"),
    /** With a knife: last, and it wounds. */
    CUT("cut");

    private final String code;

    Zone(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
