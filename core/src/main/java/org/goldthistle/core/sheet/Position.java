package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** Where in the crown the material grew. */
public enum Position implements Coded {
    /** In the light. */
    SUN("sun"),
    /** In the shade. */
    SHADE("shade"),
    /** On a shoot from stem or stump. */
    SPROUT("sprout");

    private final String code;

    Position(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
