package org.goldthistle.photo;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.platform.Sha256;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

/**
 * A photo of a call with its content, as it is stored. It is never read whole again: lists use {@link org.goldthistle.call.KeptPhoto}, and whoever is
 * shown it gets it in pieces.
 */
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
}
