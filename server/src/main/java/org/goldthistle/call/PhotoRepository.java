package org.goldthistle.call;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PhotoRepository extends JpaRepository<Photo, UUID> {
    @Query("select new org.goldthistle.call.KeptPhoto(p.id, p.callId, p.characterId, p.sha256, p.sizeBytes,"
            + " p.recordedAt) from Photo p where p.callId = :call order by p.entryOrder")
    List<KeptPhoto> findKept(UUID call);
}
