package org.goldthistle.call;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.photo.PhotoFile;
import org.goldthistle.platform.Sha256;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

/** A photo of a call with its content; lists use {@link KeptPhoto}, which leaves the content where it is. */
@Entity
@Immutable
class Photo implements Persistable<UUID> {
    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private Long entryOrder;

    private UUID callId;
    private String characterId;
    private String mediaType;
    private String sentSha256;
    private String sha256;
    private int sizeBytes;
    private byte[] content;
    private Instant recordedAt;

    protected Photo() {}

    Photo(UUID id, UUID callId, String characterId, String sentSha256, PhotoFile file, Instant recordedAt) {
        this.id = id;
        this.callId = callId;
        this.characterId = characterId;
        this.mediaType = file.kind().mediaType();
        this.sentSha256 = sentSha256;
        this.sha256 = Sha256.of(file.content());
        this.sizeBytes = file.content().length;
        this.content = file.content();
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

    String characterId() {
        return characterId;
    }

    String mediaType() {
        return mediaType;
    }

    String sentSha256() {
        return sentSha256;
    }

    String sha256() {
        return sha256;
    }

    byte[] content() {
        return content.clone();
    }

    Instant recordedAt() {
        return recordedAt;
    }
}
