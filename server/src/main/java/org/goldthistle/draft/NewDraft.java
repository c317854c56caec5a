package org.goldthistle.draft;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.springframework.lang.Nullable;

/**
 * How a draft is begun.
 *
 * @param from change: of a group's newest version; copy: a new group like an old one; region: the same group in another
 *     region; scratch: nothing
 * @param versionId of the sheet it is begun from; null from scratch
 * @param groupId id of the new group; null for a change
 * @param title of the new group; null for a change
 * @param region where the new sheet's figures hold; null for a change
 */
record NewDraft(
        @NotNull @CodeOf(DraftStart.class) String from,
        @Nullable UUID versionId,
        @Nullable String groupId,
        @Nullable String title,
        @Nullable String region) {}
