package org.goldthistle.survey;

import java.util.UUID;

/** What surveys must know of what others keep of their trees, such as calls and samples; those answer. */
public interface TreeCalls {
    /** Whether something is kept of the tree that would lose its meaning if the tree became another one or none. */
    boolean isTouched(UUID treeId);
}
