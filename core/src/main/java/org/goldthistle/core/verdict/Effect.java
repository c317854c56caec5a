package org.goldthistle.core.verdict;

import java.util.Optional;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.sheet.Taxon;

/**
 * What one reading does to a call: the deciding balance with it against the same without it.
 *
 * @param character that was read
 * @param lead who leads with it
 * @param speaksFor the lead or the rival, whichever the reading speaks for
 * @param points how far it speaks for that one against the other, 0 or more
 * @param leadBefore who would lead without it
 * @param shortBefore points that the present lead would lack for p* without it; 0 or less: none
 * @param shortAfter points that it lacks with it
 * @param gainedMore where the reading speaks for the lead and yet leaves it shorter of p*: the taxon that gained most;
 *     empty: that is not so, or none of the sheet's taxa gained
 */
public record Effect(
        String character,
        Taxon lead,
        Taxon speaksFor,
        double points,
        Taxon leadBefore,
        double shortBefore,
        double shortAfter,
        Optional<Taxon> gainedMore) {

    static Effect of(Balance with, int reading, double threshold) {
        Balance without = with.without(reading);
        int lead = with.lead();
        double points = with.points(reading, lead, with.rival());
        double shortBefore = Assessment.pointsShort(threshold, without.posterior(lead));
        double shortAfter = Assessment.pointsShort(threshold, with.posterior(lead));
        return new Effect(
                with.readings().get(reading).character().id(),
                taxon(with, lead),
                taxon(with, points >= 0 ? lead : with.rival()),
                Math.abs(points),
                taxon(with, without.lead()),
                shortBefore,
                shortAfter,
                points > 0 && shortAfter > shortBefore ? gainedMost(with, without) : Optional.empty());
    }

    /** Whether it speaks for the lead, and yet the lead is further from p* than without it. */
    public boolean isBackwards() {
        return speaksFor.equals(lead) && points > 0 && shortAfter > shortBefore;
    }

    /** Whether somebody else would lead without it. */
    public boolean changesLead() {
        return !leadBefore.equals(lead);
    }

    private static Optional<Taxon> gainedMost(Balance with, Balance without) {
        int most = -1;
        double gain = 0;
        for (int k = 0; k < with.model().taxonCount(); k++) {
            double gained = with.posterior(k) - without.posterior(k);
            if (k != with.lead() && gained > gain) {
                most = k;
                gain = gained;
            }
        }
        boolean noneGainedMore = with.noneOfThese() - without.noneOfThese() > gain;
        return most < 0 || noneGainedMore ? Optional.empty() : Optional.of(taxon(with, most));
    }

    private static Taxon taxon(Balance balance, int k) {
        return balance.model().sheet().taxa().get(k);
    }
}
