package org.goldthistle.call;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DeterminationRepository extends JpaRepository<Determination, UUID> {
    List<Determination> findByTreeIdInOrderByEntryOrderDesc(Collection<UUID> treeIds);
}
