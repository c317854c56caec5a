package org.goldthistle.call;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.library.StoredSheet;
import org.springframework.lang.Nullable;

/**
 * A signed call: who, when, what, from which readings, on which sheet version.
 *
 * @param taxonId null when only the group was recorded
 * @param share the taxon's share of belief with the surroundings when it was signed; null for the group
 * @param recomputes whether the same figures come out of the record today
 * @param superseded whether its observer signed again later
 */
record DeterminationDto(
        UUID id,
        String observer,
        Instant signedAt,
        @Nullable String taxonId,
        String scientificName,
        String commonName,
        @Nullable Double share,
        String note,
        UUID sheetVersionId,
        int sheetVersion,
        Circumstances circumstances,
        List<NewReading> readings,
        Figures figures,
        boolean recomputes,
        boolean superseded) {

    private static final double DRIFT = 1e-9; // figures are promised to nine digits

    static DeterminationDto of(Determination signed, StoredSheet sheet, String observer, boolean superseded) {
        Snapshot snapshot = signed.snapshot();
        Taxon taxon = signed.taxonId() == null
                ? null
                : sheet.sheet().taxon(signed.taxonId()).orElseThrow();
        List<NewReading> readings =
                snapshot.readings().stream().map(Snapshot.KeptReading::reading).toList();
        return new DeterminationDto(
                signed.getId(),
                observer,
                signed.signedAt(),
                signed.taxonId(),
                taxon == null
                        ? sheet.sheet().fallback().scientificName()
                        : taxon.name().scientificName(),
                taxon == null
                        ? sheet.sheet().fallback().commonName()
                        : taxon.name().commonName(),
                taxon == null ? null : share(snapshot.figures(), signed.taxonId()),
                signed.note(),
                sheet.id(),
                sheet.version(),
                snapshot.circumstances(),
                readings,
                snapshot.figures(),
                recomputes(snapshot, sheet, readings),
                superseded);
    }

    private static double share(Figures figures, String taxonId) {
        return figures.withSurroundings().shares().stream()
                .filter(share -> share.taxon().equals(taxonId))
                .findFirst()
                .orElseThrow()
                .posterior();
    }

    private static boolean recomputes(Snapshot snapshot, StoredSheet sheet, List<NewReading> readings) {
        Figures again = CallRecord.figuresOf(sheet, CallRecord.evidenceOf(sheet, snapshot.circumstances(), readings));
        return snapshot.sheetSha256().equals(sheet.sha256())
                && agree(snapshot.figures().withSurroundings(), again.withSurroundings())
                && agree(snapshot.figures().featuresAlone(), again.featuresAlone());
    }

    private static boolean agree(Figures.BalanceFigures then, Figures.BalanceFigures now) {
        boolean same = then.lead().equals(now.lead())
                && then.rival().equals(now.rival())
                && then.shares().size() == now.shares().size()
                && then.points().size() == now.points().size();
        for (int k = 0; same && k < then.shares().size(); k++) {
            same = near(then.shares().get(k).posterior(), now.shares().get(k).posterior());
        }
        for (int j = 0; same && j < then.points().size(); j++) {
            same = near(then.points().get(j).points(), now.points().get(j).points());
        }
        return same;
    }

    private static boolean near(double then, double now) {
        return Math.abs(then - now) <= DRIFT;
    }
}
