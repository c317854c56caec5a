package org.goldthistle.core.plan;

import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.Weight;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.School;

/**
 * What a plan is made for.
 *
 * @param threshold p*, the belief in one taxon that settles the tree, in (0, 1)
 * @param school whose weights count; empty: the sheet's own
 * @param mostHarm the worst that the survey allows to be done to a tree
 * @param siteCounts whether characters of the site are offered
 * @param notSeen ids of the characters that could not be seen today
 * @param organsFirst organs whose checks come first, because p* is reached and only the quorum lacks; empty otherwise
 */
public record PlanTerms(
        double threshold,
        Optional<School> school,
        Harm mostHarm,
        boolean siteCounts,
        Set<String> notSeen,
        Set<Organ> organsFirst) {

    /** Copies the sets. */
    public PlanTerms {
        notSeen = Set.copyOf(notSeen);
        organsFirst = Set.copyOf(organsFirst);
    }

    /**
     * Whether a character may still be read on a visit.
     *
     * @param visit the tree in the month of the visit
     * @param done ids of the characters that are not read again
     */
    boolean allows(DiagnosticCharacter character, Context visit, Set<String> done) {
        return !done.contains(character.id())
                && Weight.isInSeason(character, visit)
                && character.effort().harm().compareTo(mostHarm) <= 0
                && (siteCounts || !character.isSite());
    }
}
