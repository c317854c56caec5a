package org.goldthistle.library;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SheetVersionRepository extends JpaRepository<SheetVersion, UUID> {
    boolean existsByGroupIdAndSha256(String groupId, String sha256);

    @Query("select v.id from SheetVersion v where v.version = "
            + "(select max(w.version) from SheetVersion w where w.groupId = v.groupId) order by v.groupId")
    List<UUID> newestIds();

    @Query("select v.id from SheetVersion v where v.groupId = :groupId and v.version = "
            + "(select max(w.version) from SheetVersion w where w.groupId = v.groupId)")
    Optional<UUID> newestId(String groupId);

    List<SheetVersion> findByGroupIdOrderByVersionDesc(String groupId);

    Optional<SheetVersion> findFirstByGroupIdOrderByVersionDesc(String groupId);
}
