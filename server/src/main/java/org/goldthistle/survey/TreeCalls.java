package org.goldthistle.survey;

import java.util.UUID;

/** What surveys must know of the calls on their trees; the calls answer. */
public interface TreeCalls {
    /** Whether any observer has read or signed the tree. */
    boolean isTouched(UUID treeId);
}
