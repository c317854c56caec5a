package org.goldthistle.signing;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.Signing;
import org.goldthistle.core.CodeOf;
import org.springframework.lang.Nullable;

/**
 * What an observer signs.
 *
 * @param outcome code of what is signed: taxon, group, come-back or laboratory
 * @param taxonId the taxon, for that outcome
 * @param month to come back in, 1-12, for that outcome
 * @param note in their own words; may be empty
 * @param confirming ids of the characters that the observer says confirmed the call
 * @param reasons why they sign all the same, by the character that speaks against it
 * @param voucher label of a specimen or photo that is kept; empty for none
 * @param readingIds the readings that they saw counted, so that nobody signs what they have not seen
 */
public record NewDetermination(
        @NotNull @CodeOf(Outcome.class) String outcome,
        @Nullable String taxonId,
        @Nullable @Min(1) @Max(12) Integer month,
        @NotNull @Size(max = 4000) String note,
        @NotNull List<String> confirming,
        @NotNull @Schema(maxLength = LONGEST_REASON) Map<String, @NotNull @Size(max = LONGEST_REASON) String> reasons,
        @NotNull @Size(max = 200) String voucher,
        @NotNull List<UUID> readingIds) {

    private static final int LONGEST_REASON = 1000;

    /** The reasons that say something. */
    public Map<String, String> writtenReasons() {
        return reasons.entrySet().stream()
                .filter(entry -> !entry.getValue().isBlank())
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /** The same to the rules of signing. */
    Signing signing() {
        return new Signing(
                outcome, taxonId, month, !voucher.isBlank(), writtenReasons().keySet(), readingIds);
    }
}
