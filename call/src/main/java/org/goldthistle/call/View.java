package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Taxon;

/**
 * One way to look at the readings: with the surroundings or the tree alone, under the sheet's weights or a school's.
 *
 * @param featuresAlone whether the surroundings are left out
 * @param school code of the school whose weights count; null: the survey's choice, else the sheet's own
 * @param lead id of the taxon with the highest share
 * @param shares of every taxon in the sheet's order, in [0, 1]
 * @param characters the readings that this balance uses, by character
 * @param against the lead against each other taxon, the strongest rival first
 */
public record View(
        boolean featuresAlone,
        @Nullable @CodeOf(School.class) String school,
        String lead,
        List<Double> shares,
        double noneOfThese,
        List<String> characters,
        List<Against> against) {

    /** Every view of a call: under the survey's weights first, then under each school's. */
    public static List<View> all(CallInHand call) {
        List<View> views = new ArrayList<>();
        addBoth(views, call, Optional.empty());
        for (School school : School.values()) {
            addBoth(views, call, Optional.of(school));
        }
        return views;
    }

    private static void addBoth(List<View> views, CallInHand call, Optional<School> school) {
        Weighing weighing = call.weighing(school.or(call::school));
        String code = school.map(School::code).orElse(null);
        views.add(of(weighing.withSurroundings(), false, code));
        views.add(of(weighing.featuresAlone(), true, code));
    }

    private static View of(Balance balance, boolean featuresAlone, String school) {
        List<Taxon> taxa = balance.model().sheet().taxa();
        List<Double> shares = new ArrayList<>();
        List<Against> against = new ArrayList<>();
        for (int k = 0; k < taxa.size(); k++) {
            shares.add(balance.posterior(k));
            if (k != balance.lead()) {
                against.add(Against.of(balance, taxa.get(k).id(), k));
            }
        }
        against.sort((a, b) -> Double.compare(a.totalPoints(), b.totalPoints())); // the fewest points ahead come first
        return new View(
                featuresAlone,
                school,
                taxa.get(balance.lead()).id(),
                shares,
                balance.noneOfThese(),
                balance.readings().stream()
                        .map(reading -> reading.character().id())
                        .toList(),
                against);
    }

    /**
     * The lead against one rival, in points.
     *
     * @param surroundingsPoints of the prior; 0 from features alone
     * @param totalPoints of prior and readings
     * @param points of each reading, in the order of the view's characters
     */
    public record Against(String rival, double surroundingsPoints, double totalPoints, List<Double> points) {
        static Against of(Balance balance, String rival, int k) {
            int lead = balance.lead();
            List<Double> points = new ArrayList<>();
            for (int j = 0; j < balance.readings().size(); j++) {
                points.add(balance.points(j, lead, k));
            }
            return new Against(rival, balance.surroundingsPoints(lead, k), balance.totalPoints(lead, k), points);
        }
    }
}
