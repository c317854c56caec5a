package org.goldthistle.signing;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.Figures;
import org.goldthistle.call.Judgement;
import org.goldthistle.call.KeptPicture;
import org.goldthistle.call.NewReading;
import org.goldthistle.core.Coded;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.verdict.Assessment;
import org.springframework.lang.Nullable;

/**
 * All that a signed call was reckoned from, with the figures it had: from circumstances, readings and sheet version
 * the same figures must come out for ever. This is the layout of stored data; it only ever gains fields.
 *
 * @param format of this record
 * @param sheetVersionId the sheet it was signed on
 * @param sheetSha256 print of that sheet's file
 * @param circumstances of the tree
 * @param readings in the order of their entry, one a character
 * @param figures as they stood when it was signed
 * @param judgement as it stood
 * @param lacking codes of what the observer did not have; null in records from before they could say so
 * @param gate marks, in the order in which they were made; null in older records
 * @param photos that belonged to it; null in older records
 * @param school whose weights counted; null: the sheet's own
 * @param records verified trees of the district by taxon; null: none, as in older records
 */
record Snapshot(
        String format,
        UUID sheetVersionId,
        String sheetSha256,
        Circumstances circumstances,
        List<KeptReading> readings,
        Figures figures,
        Judgement judgement,
        @Nullable List<String> lacking,
        @Nullable List<KeptMark> gate,
        @Nullable List<KeptPicture> photos,
        @Nullable String school,
        @Nullable Map<String, Integer> records) {

    private static final String FORMAT = "goldthistle-call/1";

    /** A call as it is signed. */
    static Snapshot of(CallInHand call, Assessment assessment) {
        return new Snapshot(
                FORMAT,
                call.sheet().id(),
                call.sheet().sha256(),
                call.circumstances(),
                call.counting().stream()
                        .map(entry -> new KeptReading(entry.id(), call.reading(entry)))
                        .toList(),
                Figures.of(assessment),
                Judgement.of(assessment, call.tier().code()),
                call.lacking().stream().map(Faculty::code).toList(),
                call.gate().stream()
                        .map(mark -> new KeptMark(mark.item(), mark.fits()))
                        .toList(),
                call.photos().stream()
                        .map(photo -> new KeptPicture(photo.id(), photo.character(), photo.sha256()))
                        .toList(),
                call.rules().school(),
                call.records());
    }

    /**
     * Whether a call still stands as it was signed: the same sheet, circumstances, tier and readings, each in the same
     * month. That it is opened again in another month changes nothing of it.
     */
    boolean isOf(CallInHand call) {
        Circumstances now = call.circumstances();
        return sheetVersionId.equals(call.sheet().id())
                && circumstances.inMonth(now.month()).equals(now)
                && judgement.tierAsked().equals(call.tier().code())
                && readings.stream()
                        .map(kept -> new Made(kept.id(), kept.reading().monthOr(circumstances.month())))
                        .toList()
                        .equals(call.counting().stream()
                                .map(entry ->
                                        new Made(entry.id(), call.reading(entry).monthOr(now.month())))
                                .toList());
    }

    /** A reading, and the month that it was made in. */
    private record Made(UUID id, int month) {}

    /** Verified trees of the district by taxon. */
    Map<String, Integer> localRecords() {
        return records == null ? Map.of() : records;
    }

    /** What the observer did not have. */
    Set<Faculty> lackedFaculties() {
        Set<Faculty> found = EnumSet.noneOf(Faculty.class);
        if (lacking != null) {
            lacking.forEach(code -> found.add(Coded.find(Faculty.values(), code).orElseThrow()));
        }
        return found;
    }

    /** The gate as it was marked. */
    List<GateMark> gateMarks() {
        return gate == null
                ? List.of()
                : gate.stream()
                        .map(mark -> new GateMark(mark.item(), mark.fits()))
                        .toList();
    }

    /** A mark of a gate item. */
    record KeptMark(String item, boolean fits) {}

    /** A reading with its id in the record. */
    record KeptReading(UUID id, NewReading reading) {}
}
