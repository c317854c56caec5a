package org.goldthistle.core.verdict;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Taxon;

/**
 * The three ways in which practitioners decide, on the same evidence: section 7. Each speaks for a taxon or is
 * silent.
 *
 * @param balance the weighted sum: the lead, when it reaches p*
 * @param giveaway one feature that settles it
 * @param quorum organs that agree
 */
public record Rules(Optional<Taxon> balance, Optional<Taxon> giveaway, Optional<Taxon> quorum) {

    static Rules of(Balance deciding, Tier tier, double threshold) {
        Taxon lead = deciding.model().sheet().taxa().get(deciding.lead());
        boolean sure = deciding.posterior(deciding.lead()) >= threshold;
        return new Rules(
                sure ? Optional.of(lead) : Optional.empty(),
                giveaway(deciding),
                quorum(organPoints(deciding), tier.quorum()) ? Optional.of(lead) : Optional.empty());
    }

    /** Whether two of them speak for different taxa. */
    public boolean differ() {
        Set<Taxon> spokenFor = new HashSet<>();
        balance.ifPresent(spokenFor::add);
        giveaway.ifPresent(spokenFor::add);
        quorum.ifPresent(spokenFor::add);
        return spokenFor.size() > 1;
    }

    /** The summed points of each organ for the lead against the rival; the site is no organ of the tree. */
    public static Map<Organ, Double> organPoints(Balance deciding) {
        Map<Organ, Double> points = new EnumMap<>(Organ.class);
        for (int j = 0; j < deciding.readings().size(); j++) {
            WeighedReading reading = deciding.readings().get(j);
            if (!reading.character().isSite()) {
                points.merge(
                        reading.character().organ(),
                        deciding.points(j, deciding.lead(), deciding.rival()),
                        Double::sum);
            }
        }
        return points;
    }

    /** The organs that support the lead against the rival. */
    static Set<Organ> supporting(Balance deciding) {
        Set<Organ> supporting = EnumSet.noneOf(Organ.class);
        organPoints(deciding).forEach((organ, points) -> {
            if (points >= ModelConstants.ORGAN_POINTS) {
                supporting.add(organ);
            }
        });
        return supporting;
    }

    private static boolean quorum(Map<Organ, Double> organPoints, int asked) {
        int support = 0;
        for (double points : organPoints.values()) {
            if (points <= -ModelConstants.ORGAN_POINTS) {
                return false;
            }
            support += points >= ModelConstants.ORGAN_POINTS ? 1 : 0;
        }
        return support >= asked;
    }

    private static Optional<Taxon> giveaway(Balance deciding) {
        List<Taxon> taxa = deciding.model().sheet().taxa();
        for (int a = 0; a < taxa.size(); a++) {
            for (int j = 0; !taxa.get(a).isHybrid() && j < deciding.readings().size(); j++) {
                if (settles(deciding, j, a) && !isContradicted(deciding, j, a)) {
                    return Optional.of(taxa.get(a));
                }
            }
        }
        return Optional.empty();
    }

    /** Whether one trusted, certain reading of the tree itself speaks clearly for a against every other species. */
    private static boolean settles(Balance deciding, int reading, int a) {
        WeighedReading weighed = deciding.readings().get(reading);
        if (weighed.weight() < ModelConstants.GIVEAWAY_WEIGHT
                || weighed.reading().certainty() != Certainty.SURE
                || weighed.character().isSite()) {
            return false;
        }
        List<Taxon> taxa = deciding.model().sheet().taxa();
        int beaten = 0;
        for (int b = 0; b < taxa.size(); b++) {
            if (b != a && !taxa.get(b).isHybrid()) {
                if (deciding.points(reading, a, b) < ModelConstants.GIVEAWAY_POINTS) {
                    return false;
                }
                beaten++;
            }
        }
        return beaten > 0; // against nobody nothing is settled
    }

    /** Whether any other reading speaks strongly for some taxon against a, hybrids included. */
    private static boolean isContradicted(Balance deciding, int settling, int a) {
        for (int j = 0; j < deciding.readings().size(); j++) {
            for (int b = 0; j != settling && b < deciding.model().taxonCount(); b++) {
                if (b != a && deciding.points(j, a, b) <= ModelConstants.GIVEAWAY_CONTRARY) {
                    return true;
                }
            }
        }
        return false;
    }
}
