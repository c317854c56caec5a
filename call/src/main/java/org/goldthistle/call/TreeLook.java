package org.goldthistle.call;

import org.goldthistle.core.Coded;

/** How a tree of a plot stands for one observer, at a glance. */
public enum TreeLook implements Coded {
    /** Not read yet. */
    OPEN("open"),
    /** Read, and not signed. */
    BEGUN("begun"),
    /** There is a reason to contest what was made of it. */
    CONTESTED("contested"),
    /** To come back, or at the laboratory. */
    WAITING("waiting"),
    /** Under review, to be read blind. */
    REVIEW("review"),
    /** Signed. */
    SIGNED("signed"),
    /** Nobody doubts it. */
    PLAIN("plain"),
    /** A stem of another tree's clone. */
    STEM("stem");

    private final String code;

    TreeLook(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }

    /** Whether somebody of the crew has something left to do at it. */
    public boolean isToDo() {
        return this == OPEN || this == BEGUN || this == CONTESTED || this == WAITING;
    }

    /**
     * @param standsAs as far as this observer may know
     * @param contested whether any observer's call is
     * @param read whether this observer has read something of it
     */
    public static TreeLook of(boolean stem, TreeStanding standsAs, boolean contested, boolean read) {
        if (stem) {
            return STEM;
        }
        return switch (standsAs) {
            case PLAIN -> PLAIN;
            case REVIEW -> REVIEW;
            case TAXON -> SIGNED;
            case GROUP -> contested ? CONTESTED : SIGNED;
            case COME_BACK, LABORATORY -> contested ? CONTESTED : WAITING;
            case OPEN -> contested ? CONTESTED : read ? BEGUN : OPEN;
        };
    }
}
