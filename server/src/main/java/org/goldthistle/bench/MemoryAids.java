package org.goldthistle.bench;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Observers' own short notes on a character, which nobody else sees. */
@Service
class MemoryAids {
    private final JdbcClient jdbc;
    private final LibraryService library;
    private final Clock clock;

    MemoryAids(JdbcClient jdbc, LibraryService library, Clock clock) {
        this.jdbc = jdbc;
        this.library = library;
        this.clock = clock;
    }

    /** An observer's notes on a group, by character. */
    Map<String, String> of(UUID observerId, String groupId) {
        Map<String, String> notes = new LinkedHashMap<>();
        jdbc.sql("select character_id, body from memory_aid where observer_id = ? and group_id = ? order by 1")
                .params(observerId, groupId)
                .query(row -> {
                    notes.put(row.getString("character_id"), row.getString("body"));
                });
        return notes;
    }

    /**
     * Keeps a note in place of the one before; an empty one forgets it.
     *
     * @throws Problem if the group's sheet has no such character
     */
    @Transactional
    public void keep(UUID observerId, String groupId, String characterId, String body) {
        if (library.newest(groupId).sheet().character(characterId).isEmpty()) {
            throw Problem.missing(
                    ProblemType.NO_SUCH_CHARACTER,
                    "The sheet has no character \"" + characterId + "\". The note was not stored; write it on one of"
                            + " the sheet's characters.");
        }
        if (body.isBlank()) {
            jdbc.sql("delete from memory_aid where observer_id = ? and group_id = ? and character_id = ?")
                    .params(observerId, groupId, characterId)
                    .update();
            return;
        }
        jdbc.sql("insert into memory_aid values (?, ?, ?, ?, ?) on conflict (observer_id, group_id, character_id)"
                        + " do update set body = excluded.body, changed_at = excluded.changed_at")
                .params(observerId, groupId, characterId, body.strip(), Timestamp.from(clock.instant()))
                .update();
    }
}
