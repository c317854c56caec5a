package org.goldthistle.draft;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DraftRepository extends JpaRepository<Draft, UUID> {
    List<Draft> findAllByOrderByChangedAtDesc();

    Optional<Draft> findByOwnerIdAndGroupId(UUID ownerId, String groupId);
}
