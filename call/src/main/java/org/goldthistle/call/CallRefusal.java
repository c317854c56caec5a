package org.goldthistle.call;

import org.goldthistle.core.Coded;

/** Why something cannot be entered or signed. */
public enum CallRefusal implements Coded {
    /** The check wounds the tree, and the caution was not read. */
    CAUTION_UNREAD("caution-unread"),
    /** The survey plans no control. */
    CONTROL_UNUSED("control-unused"),
    /** A gate item cannot be marked so. */
    NO_SUCH_MARK("no-such-mark"),
    /** A call cannot be for that. */
    NO_SUCH_TIER("no-such-tier"),
    /** It is no way to sign, or to decide. */
    NO_SUCH_OUTCOME("no-such-outcome"),
    /** The tree was not visited in that month. */
    NO_SUCH_VISIT("no-such-visit"),
    /** The sheet has no such taxon. */
    NO_SUCH_TAXON("no-such-taxon"),
    /** The survey sends no samples to a laboratory. */
    LABORATORY_UNUSED("laboratory-unused"),
    /** The evidence does not carry it, or something that the tier asks for is missing. */
    NOT_SIGNABLE("not-signable"),
    /** The readings changed since they were last seen. */
    READINGS_CHANGED("readings-changed"),
    /** A reason was written for what is not read. */
    REASON_WITHOUT_READING("reason-without-reading"),
    /** A code of the circumstances is unknown, or the month out of range. */
    UNFIT_CONTEXT("unfit-context"),
    /** The sheet has no such gate item. */
    UNFIT_MARK("unfit-mark"),
    /** A taxon goes with the outcome taxon, a month with come-back, and neither with another. */
    UNFIT_OUTCOME("unfit-outcome"),
    /** The reading does not fit the sheet. */
    UNFIT_READING("unfit-reading"),
    /** The check wounds the tree, and the survey does not allow that. */
    WOUNDING_OFF("wounding-off");

    private final String code;

    CallRefusal(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
