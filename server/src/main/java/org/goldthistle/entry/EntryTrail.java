package org.goldthistle.entry;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.Entry;
import org.goldthistle.call.Marking;
import org.springframework.stereotype.Component;

/** Everything that was ever entered on a tree, what was corrected since too. */
@Component
public class EntryTrail {
    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;

    EntryTrail(CallRepository calls, ReadingRepository readings, GateRepository gates) {
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
    }

    /** A call a piece. */
    public List<OfCall> of(UUID treeId) {
        return calls.findByTreeId(treeId).stream()
                .map(call -> new OfCall(
                        call.observerId(),
                        call.sheetVersionId(),
                        readings.findByCallId(call.id()).stream()
                                .map(ReadingEntry::entry)
                                .toList(),
                        gates.findOfCall(call.id()).stream()
                                .map(GateEntry::marking)
                                .toList()))
                .toList();
    }

    /** What an observer entered on a tree in one group, with the version of its sheet that they went on with. */
    public record OfCall(UUID observerId, UUID sheetVersionId, List<Entry> readings, List<Marking> markings) {}
}
