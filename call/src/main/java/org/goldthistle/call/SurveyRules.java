package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.Map;
import org.goldthistle.core.sheet.Harm;

/**
 * What a survey allows and asks of its calls; words are the codes of a group sheet.
 *
 * @param closed whether it is read-only
 * @param school whose weights count; null: the sheet's own
 * @param defaultTier what a call is for until its observer says otherwise
 * @param wrongYes cost of naming a taxon that it is not, in any unit; null, as the next: each tier's own threshold holds
 * @param wrongNo cost of not naming the taxon that it is, in the same unit
 * @param records verified trees of the district, by group and taxon
 */
public record SurveyRules(
        boolean closed,
        @Nullable String school,
        String defaultTier,
        @Nullable Double wrongYes,
        @Nullable Double wrongNo,
        boolean woundingAllowed,
        boolean photoPositionKept,
        boolean controlUsed,
        boolean laboratoryUsed,
        Map<String, Map<String, Integer>> records) {

    /** The worst that may be done to a tree. */
    public Harm mostHarm() {
        return Harm.worst(woundingAllowed);
    }

    /** Verified trees of a group by taxon. */
    public Map<String, Integer> recordsOf(String groupId) {
        return records.getOrDefault(groupId, Map.of());
    }
}
