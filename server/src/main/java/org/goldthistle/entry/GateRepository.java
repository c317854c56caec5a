package org.goldthistle.entry;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface GateRepository extends JpaRepository<GateEntry, UUID> {
    @Query("select g from GateEntry g where g.callId = :callId order by g.entryOrder")
    List<GateEntry> findOfCall(UUID callId);

    List<GateEntry> findByCallIdInOrderByEntryOrder(Collection<UUID> callIds);
}
