package org.goldthistle.learning;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** A file of specimens, each with its truth, that somebody sent for a group. */
@Entity
@Immutable
@Table(name = "verified_file")
class VerifiedFile {
    @Id
    private UUID id;

    private String groupId;
    private String name;
    private String body;
    private int trees;
    private UUID addedBy;
    private Instant addedAt;

    protected VerifiedFile() {}

    VerifiedFile(UUID id, String groupId, String name, String body, int trees, UUID addedBy, Instant addedAt) {
        this.id = id;
        this.groupId = groupId;
        this.name = name;
        this.body = body;
        this.trees = trees;
        this.addedBy = addedBy;
        this.addedAt = addedAt;
    }

    UUID id() {
        return id;
    }

    String groupId() {
        return groupId;
    }

    String name() {
        return name;
    }

    String body() {
        return body;
    }

    int trees() {
        return trees;
    }

    UUID addedBy() {
        return addedBy;
    }

    Instant addedAt() {
        return addedAt;
    }
}
