package org.goldthistle.photo;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.platform.Appended;
import org.goldthistle.platform.Sha256;
import org.hibernate.annotations.Immutable;

/**
 * A photo of a call with its content, as it is stored. It is never read whole again: lists use {@link org.goldthistle.call.KeptPhoto}, and whoever is
 * shown it gets it in pieces.
 */
@Entity
@Immutable
class Photo extends Appended {
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
        super(id);
        this.callId = callId;
        this.characterId = characterId;
        this.mediaType = file.kind().mediaType();
        this.sentSha256 = sentSha256;
        this.sha256 = Sha256.of(file.content());
        this.sizeBytes = file.content().length;
        this.content = file.content();
        this.recordedAt = recordedAt;
    }
}
