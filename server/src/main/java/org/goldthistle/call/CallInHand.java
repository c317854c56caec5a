package org.goldthistle.call;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.StoredSheet;

/**
 * A call as it stands: the sheet, the circumstances and every entry in order. Unsaved for a tree that the observer
 * has not touched yet.
 */
record CallInHand(
        StoredSheet sheet,
        Circumstances circumstances,
        Tier tier,
        boolean woundingAllowed,
        List<ReadingEntry> entries) {

    /** The entries that count: the last of each character, in the order of entry. */
    List<ReadingEntry> counting() {
        Map<String, ReadingEntry> last = new LinkedHashMap<>();
        for (ReadingEntry entry : entries) {
            String character = entry.reading().character();
            last.remove(character);
            last.put(character, entry);
        }
        return List.copyOf(last.values());
    }

    Evidence evidence() {
        return evidenceOf(
                sheet,
                circumstances,
                counting().stream().map(ReadingEntry::reading).toList());
    }

    /** What the evidence amounts to, beside what is on record. */
    Assessment assessment(CallRecord onRecord) {
        return Assessment.of(sheet.model(), evidence(), terms(), onRecord);
    }

    private Terms terms() {
        return new Terms(tier, Optional.empty(), woundingAllowed ? Harm.WOUND : Harm.SAMPLE, Optional.empty());
    }

    static Figures figuresOf(StoredSheet sheet, Evidence evidence) {
        return Figures.of(Weighing.of(sheet.model(), evidence, Optional.empty()));
    }

    /** @throws org.goldthistle.core.RefusedException if a reading does not fit the sheet */
    static Evidence evidenceOf(StoredSheet sheet, Circumstances circumstances, List<NewReading> readings) {
        List<Observation> observations =
                readings.stream().map(NewReading::toObservation).toList();
        return Evidence.of(sheet.sheet(), circumstances.toContext(), observations);
    }
}
