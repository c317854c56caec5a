package org.goldthistle.call;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.Problem;
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
        return Mark.of(mark);
    }

    Instant recordedAt() {
        return recordedAt;
    }

    /** What is said of a gate item. */
    enum Mark implements Coded {
        /** The tree has what every member shares. */
        FITS("fits"),
        /** It has not. */
        FAILS("fails"),
        /** An earlier mark was a mistake. */
        TAKEN_BACK("taken-back");

        private final String code;

        Mark(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }

        static Mark of(String code) {
            return Coded.find(values(), code)
                    .orElseThrow(() -> Problem.unfit(
                            "no-such-mark",
                            "A gate item is marked " + Coded.codes(values()) + ", but \"" + code
                                    + "\" was sent. Nothing was stored."));
        }
    }
}
