package org.goldthistle.call;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CallRepository extends JpaRepository<Call, UUID> {
    Optional<Call> findFirstByTreeIdAndObserverIdOrderByTakenUpAtDesc(UUID treeId, UUID observerId);

    Optional<Call> findByTreeIdAndObserverIdAndGroupId(UUID treeId, UUID observerId, String groupId);

    boolean existsByTreeId(UUID treeId);
}
