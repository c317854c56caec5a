package org.goldthistle.browser;

import java.time.LocalDate;
import java.util.List;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.ComingMonth;
import org.goldthistle.call.Figures;
import org.goldthistle.call.Judgement;
import org.goldthistle.call.SignedView;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;

/** A signature as the Bench shows it before the server has it. */
final class FreshSignature {
    private static final int DAY = 24 * 60 * 60; // seconds

    private FreshSignature() {}

    static SignedView of(SignedHere signed, CallInHand call, Assessment assessment) {
        GroupSheet sheet = call.sheet().sheet();
        Taxon taxon =
                signed.taxonId() == null ? null : sheet.taxon(signed.taxonId()).orElseThrow();
        LocalDate day = LocalDate.ofEpochDay(Math.floorDiv(signed.at().getEpochSecond(), (long) DAY));
        return new SignedView(
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
                List.of(), // which the server keeps with it, once it has them
                true,
                false,
                null,
                false,
                List.of());
    }
}
