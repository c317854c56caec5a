package org.goldthistle.photo;

import java.time.Instant;
import java.util.UUID;
import org.goldthistle.platform.Sha256;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts photos on record that were taken at another time. */
@Service
public class EarlierPhotos {
    private final PhotoRepository photos;

    EarlierPhotos(PhotoRepository photos) {
        this.photos = photos;
    }

    /** Puts a photo of a character with a call that is not signed yet, without where it was taken. */
    @Transactional
    public void keep(UUID photoId, UUID callId, String character, byte[] content, Instant taken) {
        photos.saveAndFlush(
                new Photo(photoId, callId, character, Sha256.of(content), PhotoFile.read(content, false), taken));
    }
}
