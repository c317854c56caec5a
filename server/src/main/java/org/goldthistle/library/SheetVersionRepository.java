package org.goldthistle.library;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SheetVersionRepository extends JpaRepository<SheetVersion, UUID> {
    boolean existsByGroupId(String groupId);

    Optional<SheetVersion> findFirstByGroupIdOrderByVersionDesc(String groupId);
}
