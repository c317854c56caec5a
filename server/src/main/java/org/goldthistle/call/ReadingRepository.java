package org.goldthistle.call;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ReadingRepository extends JpaRepository<ReadingEntry, UUID> {
    /**
     * What stands of each character of some calls, in the order of entry, and what was entered last of each call. What was
     * corrected stays in the database, and is not fetched: a call does not grow slower with its corrections.
     */
    @Query(
            nativeQuery = true,
            value = "select r.* from reading r join ("
                    + "(select distinct on (s.call_id, s.character_id) s.id from reading s"
                    + " where s.call_id in (:calls)"
                    + " order by s.call_id, s.character_id, coalesce(s.read_at, s.recorded_at) desc,"
                    + " s.entry_order desc)"
                    + " union (select distinct on (m.call_id) m.id from reading m"
                    + " where m.call_id in (:calls) order by m.call_id, m.entry_order desc)"
                    + ") standing on standing.id = r.id order by r.entry_order")
    List<ReadingEntry> findStanding(Collection<UUID> calls);
}
