package org.goldthistle.call;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.data.domain.Persistable;

/** What an observer signed: the taxon a tree is said to be, and all from which that can be reckoned again. */
@Entity
@Immutable
class Determination implements Persistable<UUID> {
    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private Long entryOrder;

    private UUID treeId;
    private UUID observerId;
    private UUID sheetVersionId;
    private String taxonId;
    private String note;

    @JdbcTypeCode(SqlTypes.JSON)
    private Snapshot snapshot;

    private Instant signedAt;

    protected Determination() {}

    Determination(UUID id, UUID treeId, UUID observerId, NewDetermination signed, Snapshot snapshot, Instant signedAt) {
        this.id = id;
        this.treeId = treeId;
        this.observerId = observerId;
        this.sheetVersionId = snapshot.sheetVersionId();
        this.taxonId = signed.taxonId();
        this.note = signed.note();
        this.snapshot = snapshot;
        this.signedAt = signedAt;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return entryOrder == null; // the database numbers what it stored
    }

    UUID treeId() {
        return treeId;
    }

    UUID observerId() {
        return observerId;
    }

    /** Null when the group could not be separated. */
    String taxonId() {
        return taxonId;
    }

    String note() {
        return note;
    }

    Snapshot snapshot() {
        return snapshot;
    }

    Instant signedAt() {
        return signedAt;
    }
}
