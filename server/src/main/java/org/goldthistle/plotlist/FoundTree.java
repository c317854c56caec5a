package org.goldthistle.plotlist;

import java.util.UUID;
import org.springframework.lang.Nullable;

/** A tree that was looked for by its plot and tag; a plain one has no group. */
record FoundTree(
        UUID id,
        UUID plotId,
        String plotCode,
        int tag,
        @Nullable String groupId) {}
