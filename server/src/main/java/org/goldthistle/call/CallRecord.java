package org.goldthistle.call;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.library.StoredSheet;

/**
 * A call as it stands: the sheet, the circumstances and every entry in order. Unsaved for a tree that the observer
 * has not touched yet.
 */
record CallRecord(StoredSheet sheet, Circumstances circumstances, List<ReadingEntry> entries) {

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

    Figures figures() {
        return figuresOf(sheet, evidence());
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
