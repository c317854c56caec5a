package org.goldthistle.call;

import org.goldthistle.core.Coded;

/** What a tree stands as. */
public enum TreeStanding implements Coded {
    /** A taxon that nobody doubts. */
    PLAIN("plain"),
    /** Nobody has signed it. */
    OPEN("open"),
    /** Signed as a taxon. */
    TAXON("taxon"),
    /** Signed as the group only. */
    GROUP("group"),
    /** Signed to come back. */
    COME_BACK("come-back"),
    /** A sample is at the laboratory. */
    LABORATORY("laboratory"),
    /** It is to be read without knowing what others made of it. */
    REVIEW("review");

    private final String code;

    TreeStanding(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }

    /** As a tree stands that was just entered, of a group or plainly. */
    public static TreeStanding entered(boolean ofGroup) {
        return ofGroup ? OPEN : PLAIN;
    }

    /** As it stands after what it is was changed: as before, unless it came to a group or left its own. */
    public TreeStanding changed(boolean ofGroup) {
        return (this == PLAIN) == ofGroup ? entered(ofGroup) : this;
    }

    /** As it stands after a signature. */
    public static TreeStanding signed(Outcome outcome) {
        return switch (outcome) {
            case TAXON -> TAXON;
            case GROUP -> GROUP;
            case COME_BACK -> COME_BACK;
            case LABORATORY -> LABORATORY;
        };
    }
}
