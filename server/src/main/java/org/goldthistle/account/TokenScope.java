package org.goldthistle.account;

import org.goldthistle.core.Coded;

/** What a token may be used for. */
enum TokenScope implements Coded {
    /** Whatever its observer may read. */
    READING("reading"),
    /** Everything that its observer may do in one survey. */
    SURVEY("survey");

    private final String code;

    TokenScope(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
