package org.goldthistle.core.reading;

import org.goldthistle.core.Coded;

/** How the tree came to stand where it stands. */
public enum TreeOrigin implements Coded {
    /** It came by itself. */
    WILD("wild"),
    /** It was planted. */
    PLANTED("planted"),
    /** Nobody can tell. */
    UNKNOWN("unknown");

    private final String code;

    TreeOrigin(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
