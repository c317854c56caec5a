package org.goldthistle.review;

import org.goldthistle.core.Coded;

/** Why an observer may not do what a review waits for. */
enum Hindrance implements Coded {
    /** The survey is closed. */
    CLOSED("closed"),
    /** They signed it themselves. */
    OWN("own"),
    /** They were shown what others made of it. */
    SEEN("seen"),
    /** Somebody else reads it. */
    TAKEN("taken"),
    /** Somebody reads the tree blind first. */
    UNREAD("unread"),
    /** A reviewer decides. */
    ROLE("role");

    private final String code;

    Hindrance(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
