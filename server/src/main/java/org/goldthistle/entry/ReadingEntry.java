package org.goldthistle.entry;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.Entry;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.Taken;
import org.goldthistle.platform.Appended;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One entry in the record of a call; a later one on the same character counts instead, this one stays. */
@Entity
@Immutable
@Table(name = "reading")
class ReadingEntry extends Appended {
    private UUID callId;
    private String characterId;

    @JdbcTypeCode(SqlTypes.JSON)
    private Seen observed;

    private String certainty;
    private String material;
    private String position;
    private int visit;
    private Instant recordedAt;
    private Instant readAt;

    protected ReadingEntry() {}

    ReadingEntry(UUID id, UUID callId, int visit, NewReading reading, Instant readAt, Instant recordedAt) {
        super(id);
        this.callId = callId;
        this.visit = visit;
        this.characterId = reading.character();
        this.observed = new Seen(
                reading.states(),
                reading.values(),
                reading.notSeen(),
                reading.saysNoneBorne() ? true : null,
                reading.takesBack() ? true : null,
                reading.taken());
        this.certainty = reading.certainty();
        this.material = reading.material();
        this.position = reading.position();
        this.readAt = readAt;
        this.recordedAt = recordedAt;
    }

    /** As the call counts it. */
    Entry entry() {
        return new Entry(getId(), visit, reading(), readAt(), recordedAt);
    }

    UUID callId() {
        return callId;
    }

    private Instant readAt() {
        return readAt == null ? recordedAt : readAt; // entries from before devices said so
    }

    /** What was read; it names no month, since which one its visit was in is the call's to say. */
    NewReading reading() {
        return new NewReading(
                characterId,
                observed.states(),
                observed.values(),
                observed.notSeen(),
                observed.notBorne(),
                certainty,
                material,
                position,
                observed.withdrawn(),
                null,
                observed.taken());
    }

    /** What was seen, as stored. */
    record Seen(
            List<String> states,
            List<Double> values,
            boolean notSeen,
            Boolean notBorne,
            Boolean withdrawn,
            List<Taken> taken) {}
}
