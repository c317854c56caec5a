package org.goldthistle.exchange;

import org.goldthistle.core.Coded;

/** How far a file has come. */
enum ImportState implements Coded {
    /** It is here, and its columns wait to be told. */
    SENT("sent"),
    /** It is being checked. */
    CHECKING("checking"),
    /** It is checked, and nothing is stored. */
    CHECKED("checked"),
    /** It is being stored. */
    STORING("storing"),
    /** All of it is stored. */
    STORED("stored"),
    /** Somebody stopped it. */
    STOPPED("stopped"),
    /** It could not be worked on. */
    BROKEN("broken"),
    /** What was stored is taken back. */
    TAKEN_BACK("taken-back");

    private final String code;

    ImportState(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
