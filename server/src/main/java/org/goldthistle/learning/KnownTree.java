package org.goldthistle.learning;

import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.learning.Reliability;
import org.goldthistle.core.learning.VerifiedTree;
import org.springframework.lang.Nullable;

/**
 * A tree whose taxon is known.
 *
 * @param label what people call it: plot and tag, or a file and the specimen's id
 * @param treeId in the survey; null: it comes from a file
 * @param judged what was believed of it when it was signed
 * @param verified the same tree for the newest sheet; empty: that does not know what was read, or its taxon
 * @param print by which what was read of it is known again
 */
record KnownTree(
        String label,
        @Nullable UUID treeId,
        Reliability.Judged judged,
        Optional<VerifiedTree> verified,
        String print) {}
