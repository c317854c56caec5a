package org.goldthistle.signing;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.platform.Appended;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** What an observer signed: the taxon a tree is said to be, and all from which that can be reckoned again. */
@Entity
@Immutable
class Determination extends Appended {
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
    private Instant recordedAt;
    private boolean signedBlind;
    private boolean soonAfterReset;
    private UUID settles;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<UUID> alsoBy;

    protected Determination() {}

    Determination(
            UUID id,
            UUID treeId,
            UUID observerId,
            NewDetermination signed,
            Snapshot snapshot,
            boolean signedBlind,
            boolean soonAfterReset,
            Instant signedAt,
            Instant recordedAt) {
        super(id);
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
        this.signedBlind = signedBlind;
        this.soonAfterReset = soonAfterReset;
        this.signedAt = signedAt;
        this.recordedAt = recordedAt;
        this.alsoBy = List.of();
    }

    /** What a review left standing: the record of an earlier signature, signed anew. */
    static Determination settling(
            UUID caseId,
            UUID id,
            UUID observerId,
            Determination source,
            NewDetermination signed,
            List<UUID> alsoBy,
            Instant at) {
        Determination stands =
                new Determination(id, source.treeId, observerId, signed, source.snapshot, false, false, at, at);
        stands.settles = caseId;
        stands.alsoBy = List.copyOf(alsoBy);
        return stands;
    }

    /** Whether it says what an observer signs now, so that the same signature was sent twice. */
    boolean isSameAs(TreeOfObserver of, NewDetermination signed) {
        return treeId.equals(of.treeId())
                && observerId.equals(of.observerId())
                && outcome.equals(signed.outcome())
                && Objects.equals(taxonId, signed.taxonId())
                && Objects.equals(comeBackMonth, signed.month())
                && note.equals(signed.note())
                && voucher.equals(signed.voucher())
                && confirming.equals(signed.confirming())
                && reasons.equals(signed.writtenReasons());
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

    /** When it came into the record, which is later where there was no network. */
    Instant recordedAt() {
        return recordedAt;
    }

    /** Whether nobody else's signature was shown to its observer when they signed. */
    boolean signedBlind() {
        return signedBlind;
    }

    /** Whether it was signed within an hour after somebody's link had replaced its observer's passphrase. */
    boolean soonAfterReset() {
        return soonAfterReset;
    }

    /** The review that it came out of; null: its observer signed it on the Bench. */
    UUID settles() {
        return settles;
    }

    /** Whose names are on it beside its signer's. */
    List<UUID> alsoBy() {
        return List.copyOf(alsoBy);
    }
}
