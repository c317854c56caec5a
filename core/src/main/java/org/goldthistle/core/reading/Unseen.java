package org.goldthistle.core.reading;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Organ;

/**
 * What was looked for in vain. What could not be seen is not asked for again in that month; where the tree bears no
 * flower, fruit or cone, nothing that is read from it is.
 *
 * @param months by id of each character that could not be seen when it was last looked for, the month of that, 1-12
 * @param barren by organ that a tree bears at times, the months in which it bore none
 */
public record Unseen(Map<String, Integer> months, Map<Organ, Set<Integer>> barren) {
    /** Nothing was looked for in vain. */
    public static final Unseen NOTHING = new Unseen(Map.of(), Map.of());

    /** Copies the maps. */
    public Unseen {
        months = Map.copyOf(months);
        barren = Map.copyOf(barren);
    }

    /** Of the entries that count, one a character. */
    static Unseen of(GroupSheet sheet, Collection<NotSeen> entries, Context context) {
        Map<String, Integer> months = new HashMap<>();
        Map<Organ, Set<Integer>> barren = new HashMap<>();
        for (NotSeen entry : entries) {
            int month = entry.month().orElse(context.month());
            months.put(entry.character(), month);
            Organ organ = sheet.character(entry.character()).orElseThrow().organ();
            if (entry.notBorne() && organ.isBorne()) {
                barren.computeIfAbsent(organ, any -> new HashSet<>()).add(month);
            }
        }
        return new Unseen(months, barren);
    }

    /** Whether the tree bore none of an organ in a month. */
    public boolean isBarren(Organ organ, int month) {
        return barren.getOrDefault(organ, Set.of()).contains(month);
    }

    /** Whether a character is not to be looked for in a month. */
    public boolean closes(DiagnosticCharacter character, int month) {
        return months.getOrDefault(character.id(), 0) == month || isBarren(character.organ(), month);
    }
}
