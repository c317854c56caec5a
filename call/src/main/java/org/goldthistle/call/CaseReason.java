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
    /** It was drawn from the plain ones. */
    DRAWN("drawn");

    private final String code;

    CaseReason(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
