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
 * Finds taxa, characters and states of the newest sheets by their names, taxa by synonyms and names in other languages
 * too, also where they are typed nearly right; and for a tree that no sheet holds, the groups that come near.
 */
@Component
class LibrarySearch {
    private static final int MOST = 40;
    private static final double NEARLY_RIGHT = 0.5; // word similarity; one slip in a word of six letters stays above

    private static final String FIND = """
            select group_id, kind, character_id, name, beside, case when other_near > own_near then other end found_by
            from (
                select *,
                    to_tsvector('english', name || ' ' || beside || ' ' || array_to_string(also_called, ' '))
                        @@ websearch_to_tsquery('english', :typed) whole,
                    word_similarity(:typed, lower(name || ' ' || beside)) own_near
                from library_name) one
            left join lateral (
                select other, word_similarity(:typed, lower(other)) other_near
                from unnest(also_called) other order by other_near desc, other limit 1) called on true
            where whole or greatest(own_near, other_near) >= :least
            order by whole desc, greatest(own_near, other_near) desc,
                array_position(array['taxon', 'other', 'character', 'state'], kind), group_id, place
            limit %d
            """.formatted(MOST);

    private final JdbcClient jdbc;
    private final OtherTaxa others;

    LibrarySearch(JdbcClient jdbc, OtherTaxa others) {
        this.jdbc = jdbc;
        this.others = others;
    }

    /**
     * Something that was found.
     *
     * @param groupId where it is; of a tree that no sheet holds, a group that comes near
     * @param characterId of a character, or the one that a state belongs to; null for a taxon
     * @param beside scientific name, station, or the state's character
     * @param foundBy the other name of a taxon that is like what was typed, where its own names are less so
     */
    record Found(
            String groupId,
            @CodeOf(NameKind.class) String kind,
            @Nullable String characterId,
            String name,
            String beside,
            @Nullable String foundBy) {}

    /** What fits what was typed, the best first. */
    @Transactional(readOnly = true)
    List<Found> find(String typed) {
        return jdbc.sql(FIND)
                .param("typed", typed.strip().toLowerCase(Locale.ROOT))
                .param("least", NEARLY_RIGHT)
                .query((row, i) -> new Found(
                        row.getString("group_id"),
                        row.getString("kind"),
                        row.getString("character_id"),
                        row.getString("name"),
                        row.getString("beside"),
                        row.getString("found_by")))
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
                    taxon.name().alsoCalled(),
                    place++);
        }
        for (var other : others.all().entrySet()) {
            if (other.getValue().near().contains(sheet.id())) {
                add(version, sheet, "other", null, other.getValue().commonName(), other.getKey(), List.of(), place++);
            }
        }
        for (DiagnosticCharacter character : sheet.characters()) {
            add(
                    version,
                    sheet,
                    "character",
                    character.id(),
                    character.name(),
                    character.organ().code() + ", " + character.zone().code().replace('-', ' '),
                    List.of(),
                    place++);
            if (character.scale() instanceof StateScale scale) {
                for (State state : scale.states()) {
                    add(version, sheet, "state", character.id(), state.name(), character.name(), List.of(), place++);
                }
            }
        }
    }

    private void add(
            UUID version,
            GroupSheet sheet,
            String kind,
            @Nullable String character,
            String name,
            String beside,
            List<String> alsoCalled,
            int place) {
        jdbc.sql("insert into library_name values (?, ?, ?, ?, ?, ?, ?, ?)")
                .params(version, sheet.id(), kind, character, name, beside, place, alsoCalled.toArray(String[]::new))
                .update();
    }
}
