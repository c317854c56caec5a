package org.goldthistle.core.plan;

import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.Weight;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Unseen;
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
 * @param unseen what was looked for in vain
 * @param organsFirst organs whose checks come first, because p* is reached and only the quorum lacks; empty otherwise
 */
public record PlanTerms(
        double threshold,
        Optional<School> school,
        Harm mostHarm,
        boolean siteCounts,
        Unseen unseen,
        Set<Organ> organsFirst) {

    /** Copies the set. */
    public PlanTerms {
        organsFirst = Set.copyOf(organsFirst);
    }

    /**
     * Whether a character may still be read on a visit: not what no tree of that stage bears, and what was looked for
     * in vain in another month alone.
     *
     * @param visit the tree in the month of the visit
     * @param read ids of the characters that are read already
     */
    boolean allows(DiagnosticCharacter character, Context visit, Set<String> read) {
        return !read.contains(character.id())
                && character.borne(visit.stage()) > 0
                && !unseen.closes(character, visit.month())
                && Weight.isInSeason(character, visit.month())
                && character.effort().harm().isWithin(mostHarm)
                && (siteCounts || !character.isSite());
    }
}
