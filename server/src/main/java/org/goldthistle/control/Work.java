package org.goldthistle.control;

import org.goldthistle.core.Coded;

/** What was done with a tree that was approved for control. */
enum Work implements Coded {
    /** It was felled. */
    CUT("cut"),
    /** It was treated in another way. */
    TREATED("treated"),
    /** It was left standing. */
    LEFT("left"),
    /** Another tree than this one was cut or treated. */
    WRONG_TREE("wrong-tree");

    private final String code;

    Work(String code) {
        this.code = code;
    }

    /** Whether nothing is left to do at the tree. */
    boolean isEnd() {
        return this == CUT || this == TREATED;
    }

    @Override
    public String code() {
        return code;
    }
}
