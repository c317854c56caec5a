package org.goldthistle.call;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.Map;
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
    private String outcome;
    private String taxonId;
    private Integer comeBackMonth;
    private String note;
    private String voucher;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> confirming;

    @JdbcTypeCode(SqlTypes.JSON)
    private Map<String, String> reasons;

    @JdbcTypeCode(SqlTypes.JSON)
    private Snapshot snapshot;

    private Instant signedAt;

    protected Determination() {}

    Determination(UUID id, UUID treeId, UUID observerId, NewDetermination signed, Snapshot snapshot, Instant signedAt) {
        this.id = id;
        this.treeId = treeId;
        this.observerId = observerId;
        this.sheetVersionId = snapshot.sheetVersionId();
        this.outcome = signed.outcome();
        this.taxonId = signed.taxonId();
        this.comeBackMonth = signed.month();
        this.note = signed.note();
        this.voucher = signed.voucher();
        this.confirming = List.copyOf(signed.confirming());
        this.reasons = signed.writtenReasons();
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

    /** What was signed, as its code. */
    String outcome() {
        return outcome;
    }

    /** Null when no taxon was signed. */
    String taxonId() {
        return taxonId;
    }

    /** Null unless it was signed to come back. */
    Integer comeBackMonth() {
        return comeBackMonth;
    }

    String voucher() {
        return voucher;
    }

    List<String> confirming() {
        return List.copyOf(confirming);
    }

    Map<String, String> reasons() {
        return Map.copyOf(reasons);
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
