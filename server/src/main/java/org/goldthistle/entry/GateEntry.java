package org.goldthistle.entry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.call.Mark;
import org.goldthistle.call.Marking;
import org.goldthistle.core.Coded;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

/** One mark of a gate item in the record of a call; a later one counts instead, this one stays. */
@Entity
@Immutable
class GateEntry implements Persistable<UUID> {
    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private Long entryOrder;

    private UUID callId;
    private String itemId;
    private String mark;
    private Instant recordedAt;

    protected GateEntry() {}

    GateEntry(UUID id, UUID callId, String itemId, Mark mark, Instant recordedAt) {
        this.id = id;
        this.callId = callId;
        this.itemId = itemId;
        this.mark = mark.code();
        this.recordedAt = recordedAt;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return entryOrder == null; // the database numbers what it stored
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
