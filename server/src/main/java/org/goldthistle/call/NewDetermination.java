package org.goldthistle.call;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * What an observer signs.
 *
 * @param taxonId the taxon; null records the group only
 * @param note in their own words; may be empty
 * @param readingIds the readings that they saw counted, so that nobody signs what they have not seen
 */
record NewDetermination(
        @Nullable String taxonId,
        @NotNull @Size(max = 4000) String note,
        @NotNull List<UUID> readingIds) {}
