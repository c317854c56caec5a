package org.goldthistle.call;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface GateRepository extends JpaRepository<GateEntry, UUID> {
    List<GateEntry> findByCallIdInOrderByEntryOrder(Collection<UUID> callIds);
}
