package org.goldthistle.entry;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ReadingRepository extends JpaRepository<ReadingEntry, UUID> {
    /**
     * What stands of each character of some calls. What was corrected since stays in the database and is not fetched, so
     * that corrections do not make a call slow.
     */
    @Query(
            nativeQuery = true,
            value = "select * from (select distinct on (call_id, character_id) * from reading"
                    + " where call_id = any(:calls)"
                    + " order by call_id, character_id, coalesce(read_at, recorded_at) desc, entry_order desc) standing"
                    + " order by entry_order")
    List<ReadingEntry> findStanding(UUID... calls);

    /** Everything that was entered on a call, what was corrected since too. */
    List<ReadingEntry> findByCallId(UUID callId);
}
