package org.goldthistle.draft;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.Refusal;
import org.goldthistle.formats.UnknownKey;
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
 * @param saved places of what its group has saved under an id that stays, such as {@code taxa.pendula} or
 *     {@code characters.twig-warts.states.few}; every other id may follow its name
 * @param unknown keys of a file that the format does not know: kept in the draft, not used, not saved with it
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

        @Schema(types = "object", additionalProperties = Schema.AdditionalPropertiesValue.TRUE)
        JsonNode sheet,

        List<String> saved,
        List<UnknownKeyDto> unknown,
        List<Refusal> refusals) {

    /**
     * A key that the format does not know.
     *
     * @param place of what holds it; empty: the sheet itself
     * @param nearest the key that it most likely means; null: none is near
     */
    record UnknownKeyDto(String place, String key, @Nullable String nearest) {
        static UnknownKeyDto of(UnknownKey unknown) {
            return new UnknownKeyDto(
                    unknown.place(), unknown.key(), unknown.nearest().orElse(null));
        }
    }

    /**
     * A draft in a list.
     *
     * @param groupId null: it becomes a new group
     */
    record DraftRow(UUID id, @Nullable String groupId, String title, String owner, boolean mine, Instant changedAt) {}
}
