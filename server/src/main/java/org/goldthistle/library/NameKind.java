package org.goldthistle.library;

import org.goldthistle.core.Coded;

/** What bears a name that was looked for. */
enum NameKind implements Coded {
    /** A taxon. */
    TAXON("taxon"),
    /** A tree that no sheet holds, though a group comes near it. */
    OTHER("other"),
    /** A character. */
    CHARACTER("character"),
    /** A state of a character. */
    STATE("state");

    private final String code;

    NameKind(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
