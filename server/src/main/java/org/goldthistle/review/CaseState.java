package org.goldthistle.review;

import org.goldthistle.core.Coded;

/** How far a review has come. */
enum CaseState implements Coded {
    /** For somebody who reads the tree blind. */
    WAITING("waiting"),
    /** Somebody reads it blind. */
    READING("reading"),
    /** The readings face each other; somebody is to decide. */
    TABLE("table"),
    /** A sample is on its way. */
    LABORATORY("laboratory"),
    /** Decided. */
    SETTLED("settled");

    private final String code;

    CaseState(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }

    /** Whether what was read so far is kept from whoever has not read it. */
    boolean isBlind() {
        return this == WAITING || this == READING;
    }
}
