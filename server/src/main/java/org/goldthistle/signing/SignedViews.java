package org.goldthistle.signing;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.ComingMonth;
import org.goldthistle.call.Figures;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.SignedView;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.sheet.Taxon;

/** Lays determinations out as they are shown, each held against what comes out of the record today. */
final class SignedViews {
    private static final double DRIFT = 1e-9; // figures are promised to nine digits

    private SignedViews() {}

    /** A determination as it is shown. */
    static SignedView of(
            Determination signed, StoredSheet sheet, Map<UUID, String> callSigns, boolean superseded, ZoneId zone) {
        Snapshot snapshot = signed.snapshot();
        Taxon taxon = signed.taxonId() == null
                ? null
                : sheet.sheet().taxon(signed.taxonId()).orElseThrow();
        List<NewReading> readings =
                snapshot.readings().stream().map(Snapshot.KeptReading::reading).toList();
        return new SignedView(
                signed.getId(),
                callSigns.get(signed.observerId()),
                signed.signedAt(),
                signed.recordedAt(),
                signed.outcome(),
                signed.taxonId(),
                signed.comeBackMonth(),
                signed.comeBackMonth() == null
                        ? null
                        : ComingMonth.yearOf(signed.comeBackMonth(), LocalDate.ofInstant(signed.signedAt(), zone)),
                taxon == null
                        ? sheet.sheet().fallback().scientificName()
                        : taxon.name().scientificName(),
                taxon == null
                        ? sheet.sheet().fallback().commonName()
                        : taxon.name().commonName(),
                taxon == null ? null : share(snapshot.figures(), signed.taxonId()),
                signed.note(),
                signed.voucher(),
                signed.confirming(),
                signed.reasons(),
                sheet.id(),
                sheet.version(),
                snapshot.circumstances(),
                readings,
                snapshot.figures(),
                snapshot.judgement(),
                snapshot.photos() == null ? List.of() : snapshot.photos(),
                recomputes(snapshot, sheet, readings),
                superseded,
                signed.settles(),
                signed.soonAfterReset(),
                signed.alsoBy().stream().map(callSigns::get).toList());
    }

    private static double share(Figures figures, String taxonId) {
        return figures.withSurroundings().shares().stream()
                .filter(share -> share.taxon().equals(taxonId))
                .findFirst()
                .orElseThrow()
                .posterior();
    }

    private static boolean recomputes(Snapshot snapshot, StoredSheet sheet, List<NewReading> readings) {
        Figures again = CallInHand.figuresOf(
                sheet,
                CallInHand.evidenceOf(
                        sheet,
                        snapshot.circumstances(),
                        snapshot.localRecords(),
                        snapshot.lackedFaculties(),
                        readings,
                        snapshot.gateMarks()),
                CallInHand.schoolOf(snapshot.school()));
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
