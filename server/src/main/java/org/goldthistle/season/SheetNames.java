package org.goldthistle.season;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.sheet.GroupSheet;

/** What the newest sheets call groups and taxa; an id itself where they have it no more. */
final class SheetNames {
    private final Map<String, GroupSheet> sheets = new LinkedHashMap<>();

    SheetNames(Collection<StoredSheet> newest) {
        newest.forEach(stored -> sheets.put(stored.sheet().id(), stored.sheet()));
    }

    String title(String groupId) {
        return Optional.ofNullable(sheets.get(groupId)).map(GroupSheet::title).orElse(groupId);
    }

    String taxon(String groupId, String taxonId) {
        return Optional.ofNullable(sheets.get(groupId))
                .flatMap(sheet -> sheet.taxon(taxonId))
                .map(taxon -> taxon.name().commonName())
                .orElse(taxonId);
    }

    /** A taxon, or that only the group was recorded. */
    String answer(String groupId, String answer) {
        return answer.equals(Outcome.GROUP.code()) ? "the group only" : taxon(groupId, answer);
    }
}
