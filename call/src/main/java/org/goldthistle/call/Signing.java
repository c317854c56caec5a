package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/**
 * What an observer is about to sign.
 *
 * @param outcome code of what is signed
 * @param taxonId the taxon, for that outcome
 * @param month to come back in, 1-12, for that outcome
 * @param hasVoucher whether a specimen or photo is named that is kept
 * @param reasoned characters against which a reason is written
 * @param readingIds the readings that they saw counted
 */
public record Signing(
        String outcome,
        @Nullable String taxonId,
        @Nullable Integer month,
        boolean hasVoucher,
        Set<String> reasoned,
        List<UUID> readingIds) {}
