package org.goldthistle.browser;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.ComingMonth;
import org.goldthistle.call.Figures;
import org.goldthistle.call.Judgement;
import org.goldthistle.call.NewReading;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;

/** A signature as the Bench shows it before the server has it; the same names as in the server's answer. */
record FreshSignature(
        UUID id,
        String observer,
        Instant signedAt,
        Instant recordedAt,
        String outcome,
        @Nullable String taxonId,
        @Nullable Integer month,
        @Nullable Integer year,
        String scientificName,
        String commonName,
        @Nullable Double share,
        String note,
        String voucher,
        List<String> confirming,
        Map<String, String> reasons,
        UUID sheetVersionId,
        int sheetVersion,
        Circumstances circumstances,
        List<NewReading> readings,
        Figures figures,
        Judgement judgement,
        List<String> photos,
        boolean recomputes,
        boolean superseded,
        boolean soonAfterReset,
        List<String> alsoBy) {

    private static final int DAY = 24 * 60 * 60; // seconds

    static FreshSignature of(SignedHere signed, CallInHand call, Assessment assessment) {
        GroupSheet sheet = call.sheet().sheet();
        Taxon taxon =
                signed.taxonId() == null ? null : sheet.taxon(signed.taxonId()).orElseThrow();
        LocalDate day = LocalDate.ofEpochDay(Math.floorDiv(signed.at().getEpochSecond(), (long) DAY));
        return new FreshSignature(
                signed.id(),
                signed.observer(),
                signed.at(),
                signed.at(),
                signed.outcome(),
                signed.taxonId(),
                signed.month(),
                signed.month() == null ? null : ComingMonth.yearOf(signed.month(), day),
                taxon == null ? sheet.fallback().scientificName() : taxon.name().scientificName(),
                taxon == null ? sheet.fallback().commonName() : taxon.name().commonName(),
                taxon == null ? null : assessment.withSurroundings().posterior(sheet.taxonIndex(taxon.id())),
                signed.note(),
                signed.voucher(),
                signed.confirming(),
                signed.reasons(),
                call.sheet().id(),
                call.sheet().version(),
                call.circumstances(),
                call.counting().stream().map(call::reading).toList(),
                Figures.of(assessment),
                Judgement.of(assessment, call.tier().code()),
                List.of(),
                true,
                false,
                false,
                List.of());
    }
}
