package org.goldthistle.call;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;

/** One entry in the record of a call; a later one on the same character counts instead, this one stays. */
@Entity
@Immutable
@Table(name = "reading")
class ReadingEntry implements Persistable<UUID> {
    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private Long entryOrder;

    private UUID callId;
    private String characterId;

    @JdbcTypeCode(SqlTypes.JSON)
    private Seen observed;

    private String certainty;
    private String material;
    private String position;
    private Instant recordedAt;

    protected ReadingEntry() {}

    ReadingEntry(UUID id, UUID callId, NewReading reading, Instant recordedAt) {
        this.id = id;
        this.callId = callId;
        this.characterId = reading.character();
        this.observed = new Seen(reading.states(), reading.values(), reading.notSeen());
        this.certainty = reading.certainty();
        this.material = reading.material();
        this.position = reading.position();
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

    Instant recordedAt() {
        return recordedAt;
    }

    NewReading reading() {
        return new NewReading(
                characterId, observed.states(), observed.values(), observed.notSeen(), certainty, material, position);
    }

    /** What was seen, as stored. */
    record Seen(List<String> states, List<Double> values, boolean notSeen) {}
}
