package org.goldthistle.library;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.lang.Nullable;

/** One version of one group sheet; never changed once stored. */
@Entity
@Immutable
class SheetVersion {
    @Id
    private UUID id;

    private String groupId;
    private int version;
    private String sha256;

    @JdbcTypeCode(SqlTypes.JSON)
    private String body;

    private boolean builtIn;
    private Instant createdAt;
    private UUID madeBy;
    private String note;

    @JdbcTypeCode(SqlTypes.JSON)
    private String overlay;

    private UUID overlayOn;

    protected SheetVersion() {}

    /** A version that ships with the application. */
    static SheetVersion builtIn(UUID id, String groupId, int version, String sha256, String body, Instant createdAt) {
        SheetVersion stored = new SheetVersion(id, groupId, version, sha256, body, createdAt);
        stored.builtIn = true;
        stored.note = "";
        return stored;
    }

    /** A version that a person made. */
    static SheetVersion made(
            UUID id, String groupId, int version, String sha256, String body, Instant createdAt, UUID by, String note) {
        SheetVersion stored = new SheetVersion(id, groupId, version, sha256, body, createdAt);
        stored.madeBy = by;
        stored.note = note;
        return stored;
    }

    private SheetVersion(UUID id, String groupId, int version, String sha256, String body, Instant createdAt) {
        this.id = id;
        this.groupId = groupId;
        this.version = version;
        this.sha256 = sha256;
        this.body = body;
        this.createdAt = createdAt;
    }

    /** Says that it is an original with something laid over it. */
    SheetVersion laid(String whatIsLaid, UUID over) {
        this.overlay = whatIsLaid;
        this.overlayOn = over;
        return this;
    }

    /** Whether it ships with the application; otherwise a person made it. */
    boolean builtIn() {
        return builtIn;
    }

    UUID id() {
        return id;
    }

    String groupId() {
        return groupId;
    }

    int version() {
        return version;
    }

    Instant createdAt() {
        return createdAt;
    }

    String sha256() {
        return sha256;
    }

    /** Who made it; null: it came with the application. */
    @Nullable UUID madeBy() {
        return madeBy;
    }

    /** What is laid over an original; null: nothing is. */
    @Nullable String overlay() {
        return overlay;
    }

    /** The version that it was laid over; null: it stands by itself. */
    @Nullable UUID overlayOn() {
        return overlayOn;
    }

    String body() {
        return body;
    }
}
