package org.goldthistle.call;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReadingRepository extends JpaRepository<ReadingEntry, UUID> {
    List<ReadingEntry> findByCallIdInOrderByEntryOrder(Collection<UUID> callIds);
}
