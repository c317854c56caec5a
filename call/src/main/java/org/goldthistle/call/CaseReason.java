package org.goldthistle.call;

import org.goldthistle.core.Coded;

/** Why a call is reviewed. */
public enum CaseReason implements Coded {
    /** There was a reason to contest it. */
    CONTESTED("contested"),
    /** It names a hybrid, a scarce, protected or invasive taxon for the record. */
    TIER("tier"),
    /** Felling, treatment or removal hangs on it. */
    CONTROL("control"),
    /** Its reader has not practised the group as the survey asks. */
    PRACTICE("practice"),
    /** A last look before it was to be cut spoke against it. */
    LAST_LOOK("last-look"),
    /** Another tree was cut in its place. */
    WRONG_TREE("wrong-tree"),
    /** It was drawn from the plain ones. */
    DRAWN("drawn");

    private final String code;

    CaseReason(String code) {
        this.code = code;
    }

    /** Whether it is no signature that asks for the review, so that what was read faces it at once. */
    public boolean isDoubt() {
        return this == LAST_LOOK || this == WRONG_TREE;
    }

    @Override
    public String code() {
        return code;
    }
}
