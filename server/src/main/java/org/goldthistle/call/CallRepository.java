package org.goldthistle.call;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CallRepository extends JpaRepository<Call, UUID> {
    Optional<Call> findByTreeIdAndObserverId(UUID treeId, UUID observerId);

    List<Call> findByObserverIdAndTreeIdIn(UUID observerId, Collection<UUID> treeIds);
}
