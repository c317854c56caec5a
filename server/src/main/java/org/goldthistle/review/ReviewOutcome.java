package org.goldthistle.review;

import org.goldthistle.core.Coded;

/** How a review is decided. */
enum ReviewOutcome implements Coded {
    /** One of the calls stands. */
    AGREE("agree"),
    /** The reviewer’s own reading stands against the others. */
    OVERRULE("overrule"),
    /** Somebody else reads it blind. */
    THIRD_LOOK("third-look"),
    /** A sample goes to the laboratory. */
    LABORATORY("laboratory"),
    /** The laboratory’s finding stands. */
    LABORATORY_RESULT("laboratory-result"),
    /** Only the group stands. */
    NOT_SEPARABLE("not-separable"),
    /** Nobody decided: those whose calls were reviewed signed anew, and nothing is left to review. */
    WITHDRAWN("withdrawn");

    /** Those that somebody can decide for. */
    static final ReviewOutcome[] DECISIONS = {AGREE, OVERRULE, THIRD_LOOK, LABORATORY, LABORATORY_RESULT, NOT_SEPARABLE
    };

    private final String code;

    ReviewOutcome(String code) {
        this.code = code;
    }

    /** Whether whoever decides so says why. */
    boolean wantsReasons() {
        return this == OVERRULE || this == LABORATORY_RESULT;
    }

    @Override
    public String code() {
        return code;
    }
}
