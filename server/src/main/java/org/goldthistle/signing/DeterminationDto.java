package org.goldthistle.signing;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.ComingMonth;
import org.goldthistle.call.Figures;
import org.goldthistle.call.Judgement;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.Taxon;
import org.springframework.lang.Nullable;

/**
 * A signed call: who, when, what, from which readings, on which sheet version.
 *
 * @param signedAt by what the observer's device said of its age
 * @param recordedAt when it came into the record
 * @param outcome what was signed: taxon, group, come-back or laboratory
 * @param taxonId null when no taxon was signed; the names are then the group's
 * @param month to come back in, for that outcome
 * @param year in which that month comes next, seen from the day of signing
 * @param share the taxon's share of belief with the surroundings when it was signed; null without a taxon
 * @param confirming characters that the observer says confirmed it
 * @param reasons why they signed all the same, by the character that speaks against it
 * @param judgement as it stood when it was signed
 * @param recomputes whether the same figures come out of the record today
 * @param superseded whether its observer signed again later, or a review settled the tree since
 * @param settles the review that it came out of; null: it was signed on the Bench
 * @param soonAfterReset whether it was signed within an hour after somebody's link had replaced its observer's passphrase
 * @param alsoBy whose names are on it beside the observer's
 */
public record DeterminationDto(
        UUID id,
        String observer,
        Instant signedAt,
        Instant recordedAt,
        @CodeOf(Outcome.class) String outcome,
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
        List<Snapshot.KeptPicture> photos,
        boolean recomputes,
        boolean superseded,
        @Nullable UUID settles,
        boolean soonAfterReset,
        List<String> alsoBy) {

    private static final double DRIFT = 1e-9; // figures are promised to nine digits

    static DeterminationDto of(
            Determination signed, StoredSheet sheet, Map<UUID, String> callSigns, boolean superseded, ZoneId zone) {
        Snapshot snapshot = signed.snapshot();
        Taxon taxon = signed.taxonId() == null
                ? null
                : sheet.sheet().taxon(signed.taxonId()).orElseThrow();
        List<NewReading> readings =
                snapshot.readings().stream().map(Snapshot.KeptReading::reading).toList();
        return new DeterminationDto(
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
