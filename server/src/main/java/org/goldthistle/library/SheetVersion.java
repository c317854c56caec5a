package org.goldthistle.library;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

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

    private boolean builtIn = true;

    private Instant createdAt;

    protected SheetVersion() {}

    SheetVersion(UUID id, String groupId, int version, String sha256, String body, Instant createdAt) {
        this.id = id;
        this.groupId = groupId;
        this.version = version;
        this.sha256 = sha256;
        this.body = body;
        this.createdAt = createdAt;
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

    String body() {
        return body;
    }
}
