package org.goldthistle.browser;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.call.Signing;

/** What an observer signed on this device and the server does not have yet; the fields are those of a signature. */
record SignedHere(
        UUID id,
        String observer,
        Instant at,
        String outcome,
        @Nullable String taxonId,
        @Nullable Integer month,
        String note,
        List<String> confirming,
        Map<String, String> reasons,
        String voucher,
        List<UUID> readingIds) {

    Signing signing() {
        return new Signing(
                outcome,
                taxonId,
                month,
                !voucher.isBlank(),
                reasons.entrySet().stream()
                        .filter(reason -> !reason.getValue().isBlank())
                        .map(Map.Entry::getKey)
                        .collect(Collectors.toSet()),
                readingIds);
    }
}
