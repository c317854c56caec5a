package org.goldthistle.entry;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.Mark;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts calls on record that were made at another time. */
@Service
public class EarlierCalls {
    private static final int SECONDS_A_READING = 60;

    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;
    private final LibraryService library;

    EarlierCalls(CallRepository calls, ReadingRepository readings, GateRepository gates, LibraryService library) {
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
        this.library = library;
    }

    /** Puts a call on record, read on the newest sheet, the whole gate looked at and fitting. */
    @Transactional
    public void keep(SurveyedTree tree, UUID observerId, EarlierCall earlier) {
        StoredSheet sheet = library.newest(CallsInHand.groupOf(tree));
        int month = earlier.begun().atZone(ZoneOffset.UTC).getMonthValue();
        Call call = calls.save(new Call(
                tree.id(),
                observerId,
                sheet,
                new Circumstances(month, tree.stage(), tree.origin(), tree.habitat()),
                earlier.tier(),
                earlier.begun()));
        Instant at = earlier.begun();
        for (NewReading reading : earlier.readings()) {
            at = at.plusSeconds(SECONDS_A_READING);
            readings.save(new ReadingEntry(UUID.randomUUID(), call.id(), 0, reading, at, at));
        }
        for (GateItem item : sheet.sheet().gate()) {
            gates.save(new GateEntry(UUID.randomUUID(), call.id(), item.id(), Mark.FITS, earlier.begun()));
        }
        calls.flush();
    }

    /**
     * A call that was made at another time.
     *
     * @param begun when it was begun; its month is the call's
     * @param readings in the order of reading, one a minute from then on
     */
    public record EarlierCall(Instant begun, Tier tier, List<NewReading> readings) {}
}
