package org.goldthistle.library;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Finds taxa, characters and states of the newest sheets by their names, English and scientific, also where they are
 * typed nearly right.
 */
@Component
class LibrarySearch {
    private static final int MOST = 40;
    private static final double NEARLY_RIGHT = 0.5; // word similarity; one slip in a word of six letters stays above

    private final JdbcClient jdbc;

    LibrarySearch(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Something that was found.
     *
     * @param kind taxon, character or state
     * @param characterId of a character, or the one that a state belongs to; null for a taxon
     * @param beside scientific name, station, or the state's character
     */
    record Found(
            String groupId,
            @CodeOf(NameKind.class) String kind,
            @Nullable String characterId,
            String name,
            String beside) {}

    /** What fits what was typed, the best first. */
    @Transactional(readOnly = true)
    List<Found> find(String typed) {
        return jdbc.sql("select group_id, kind, character_id, name, beside from (select *,"
                        + " to_tsvector('english', name || ' ' || beside) @@ websearch_to_tsquery('english', :typed) whole,"
                        + " word_similarity(:typed, lower(name || ' ' || beside)) near from library_name) one"
                        + " where whole or near >= :least order by whole desc, near desc,"
                        + " array_position(array['taxon', 'character', 'state'], kind), group_id, place limit " + MOST)
                .param("typed", typed.strip().toLowerCase(Locale.ROOT))
                .param("least", NEARLY_RIGHT)
                .query((row, i) -> new Found(
                        row.getString("group_id"),
                        row.getString("kind"),
                        row.getString("character_id"),
                        row.getString("name"),
                        row.getString("beside")))
                .list();
    }

    /** Takes the names of every group's newest sheet in, where it has changed. */
    @Transactional
    void keep(List<StoredSheet> newest) {
        for (StoredSheet stored : newest) {
            boolean known = jdbc.sql("select exists (select 1 from library_name where sheet_version_id = ?)")
                    .param(stored.id())
                    .query(Boolean.class)
                    .single();
            if (!known) {
                jdbc.sql("delete from library_name where group_id = ?")
                        .param(stored.sheet().id())
                        .update();
                keep(stored.id(), stored.sheet());
            }
        }
    }

    private void keep(UUID version, GroupSheet sheet) {
        int place = 0;
        for (Taxon taxon : sheet.taxa()) {
            add(
                    version,
                    sheet,
                    "taxon",
                    null,
                    taxon.name().commonName(),
                    taxon.name().scientificName(),
                    place++);
        }
        for (DiagnosticCharacter character : sheet.characters()) {
            add(
                    version,
                    sheet,
                    "character",
                    character.id(),
                    character.name(),
                    character.organ().code() + ", " + character.zone().code().replace('-', ' '),
                    place++);
            if (character.scale() instanceof StateScale scale) {
                for (State state : scale.states()) {
                    add(version, sheet, "state", character.id(), state.name(), character.name(), place++);
                }
            }
        }
    }

    private void add(
            UUID version, GroupSheet sheet, String kind, String character, String name, String beside, int place) {
        jdbc.sql("insert into library_name values (?, ?, ?, ?, ?, ?, ?)")
                .params(version, sheet.id(), kind, character, name, beside, place)
                .update();
    }
}
