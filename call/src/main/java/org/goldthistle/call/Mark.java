package org.goldthistle.call;

import org.goldthistle.core.Coded;

/** What is said of a gate item. */
public enum Mark implements Coded {
    /** The tree has what every member shares. */
    FITS("fits"),
    /** It has not. */
    FAILS("fails"),
    /** An earlier mark was a mistake. */
    TAKEN_BACK("taken-back");

    private final String code;

    Mark(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }

    /** @throws CallRefusedException if nothing is called so */
    public static Mark of(String code) {
        return Coded.find(values(), code)
                .orElseThrow(() -> CallRefusedException.unfit(
                        CallRefusal.NO_SUCH_MARK,
                        "A gate item is marked " + Coded.codes(values()) + ", but \"" + code
                                + "\" was sent. Nothing was stored."));
    }
}
