package org.goldthistle.entry;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.call.Mark;
import org.goldthistle.call.Marking;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.Appended;
import org.hibernate.annotations.Immutable;

/** One mark of a gate item in the record of a call; a later one counts instead, this one stays. */
@Entity
@Immutable
class GateEntry extends Appended {
    private UUID callId;
    private String itemId;
    private String mark;
    private Instant recordedAt;

    protected GateEntry() {}

    GateEntry(UUID id, UUID callId, String itemId, Mark mark, Instant recordedAt) {
        super(id);
        this.callId = callId;
        this.itemId = itemId;
        this.mark = mark.code();
        this.recordedAt = recordedAt;
    }

    UUID callId() {
        return callId;
    }

    String itemId() {
        return itemId;
    }

    Mark mark() {
        return Coded.find(Mark.values(), mark).orElseThrow();
    }

    /** As the call counts it. */
    Marking marking() {
        return new Marking(itemId, mark(), recordedAt);
    }
}
