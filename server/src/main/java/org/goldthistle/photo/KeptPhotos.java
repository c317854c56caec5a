package org.goldthistle.photo;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.KeptPhoto;
import org.goldthistle.entry.PhotosOfCalls;
import org.springframework.stereotype.Component;

/** Tells calls of their photos. */
@Component
class KeptPhotos implements PhotosOfCalls {
    private final PhotoRepository photos;

    KeptPhotos(PhotoRepository photos) {
        this.photos = photos;
    }

    @Override
    public List<KeptPhoto> of(UUID callId) {
        return photos.findKept(callId);
    }
}
