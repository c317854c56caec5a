package org.goldthistle.draft;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.Refusal;
import org.springframework.lang.Nullable;

/**
 * A draft as the browser shows it.
 *
 * @param groupId the group that it changes; null: it becomes a new one
 * @param basedOn the version that it was begun from; null: none
 * @param basedOnVersion its number
 * @param newest the group's newest version, if that is another by now; null: it is not, or there is no group yet
 * @param regional whether it is laid over an original, so that only occurrence and months may differ
 * @param owner call sign of whose it is
 * @param mine whether it is the caller's own
 * @param sheet as far as it has come, in the format of sheets
 * @param refusals what it breaks, by place; empty: it can be saved
 */
record DraftDto(
        UUID id,
        @Nullable String groupId,
        @Nullable UUID basedOn,
        @Nullable Integer basedOnVersion,
        @Nullable UUID newest,
        boolean regional,
        String owner,
        boolean mine,
        int revision,
        Instant changedAt,

        @Schema(type = "object", additionalProperties = Schema.AdditionalPropertiesValue.TRUE)
        JsonNode sheet,

        List<Refusal> refusals) {

    /**
     * A draft in a list.
     *
     * @param groupId null: it becomes a new group
     */
    record DraftRow(UUID id, @Nullable String groupId, String title, String owner, boolean mine, Instant changedAt) {}
}
