package org.goldthistle.photo;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.KeptPhoto;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PhotoRepository extends JpaRepository<Photo, UUID> {
    @Query("select new org.goldthistle.call.KeptPhoto(p.id, p.callId, p.characterId, p.sha256, p.sizeBytes,"
            + " p.recordedAt) from Photo p where p.callId = :call order by p.entryOrder")
    List<KeptPhoto> findKept(UUID call);

    @Query(
            "select new org.goldthistle.photo.ServedPhoto(p.id, p.callId, p.mediaType, p.sentSha256, p.sha256, p.sizeBytes)"
                    + " from Photo p where p.id = :id")
    Optional<ServedPhoto> findServed(UUID id);

    /** A piece of a photo's content, from its first byte, 1. */
    @Query(nativeQuery = true, value = "select substring(content from :first for :length) from photo where id = :id")
    byte[] piece(UUID id, int first, int length);
}
