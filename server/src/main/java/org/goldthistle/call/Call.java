package org.goldthistle.call;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.StoredSheet;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One observer's work on one tree: the sheet version they began with, and the circumstances as they see them. */
@Entity
class Call {
    @Id
    private UUID id;

    private UUID treeId;
    private UUID observerId;
    private UUID sheetVersionId;
    private String groupId;
    private int month;
    private String stage;
    private String origin;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> habitat;

    private String tier;
    private Instant openedAt;
    private Instant takenUpAt;
    private Instant woundingAcknowledgedAt;

    protected Call() {}

    Call(UUID treeId, UUID observerId, StoredSheet sheet, Circumstances circumstances, Tier tier, Instant openedAt) {
        this.id = UUID.randomUUID();
        this.treeId = treeId;
        this.observerId = observerId;
        this.sheetVersionId = sheet.id();
        this.groupId = sheet.sheet().id();
        this.openedAt = openedAt;
        this.takenUpAt = openedAt;
        this.tier = tier.code();
        change(circumstances);
    }

    final void change(Circumstances circumstances) {
        this.month = circumstances.month();
        this.stage = circumstances.stage();
        this.origin = circumstances.origin();
        this.habitat = circumstances.habitat();
    }

    /** Goes on with another version of its sheet. */
    final void moveTo(StoredSheet sheet) {
        this.sheetVersionId = sheet.id();
    }

    final void changeTier(Tier asked) {
        this.tier = asked.code();
    }

    /** Takes the call up in place of another one, at the same instant too: the last one taken up is in hand. */
    final void takeUpAfter(Call left, Instant now) {
        Instant soonest = left.takenUpAt.plus(1, ChronoUnit.MICROS); // the database's finest step
        this.takenUpAt = now.isBefore(soonest) ? soonest : now;
    }

    /** Notes that the observer has read what wounding this tree means. */
    final void acknowledgeWounding(Instant now) {
        if (woundingAcknowledgedAt == null) {
            this.woundingAcknowledgedAt = now;
        }
    }

    boolean hasReadWoundingCaution() {
        return woundingAcknowledgedAt != null;
    }

    Tier tier() {
        return Coded.find(Tier.values(), tier).orElseThrow();
    }

    UUID id() {
        return id;
    }

    UUID observerId() {
        return observerId;
    }

    UUID treeId() {
        return treeId;
    }

    String groupId() {
        return groupId;
    }

    UUID sheetVersionId() {
        return sheetVersionId;
    }

    Circumstances circumstances() {
        return new Circumstances(month, stage, origin, List.copyOf(habitat));
    }
}
