package org.goldthistle.core.sheet;

import org.goldthistle.core.Coded;

/** Where the material that was read came from. */
public enum Material implements Coded {
    /** On the tree. */
    ATTACHED("attached"),
    /** Lying under the tree. */
    FALLEN("fallen"),
    /** Old and of unsure origin. */
    LITTER("litter");

    private final String code;

    Material(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
