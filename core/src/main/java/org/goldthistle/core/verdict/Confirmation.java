package org.goldthistle.core.verdict;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.WeighedReading;

/**
 * Which readings carried the call and which spoke against it: section 9. Each list by falling absolute points of the
 * lead against the rival; all are empty while the lead does not reach p*.
 *
 * @param confirming the smallest set of readings that would have carried the call by itself
 * @param pivotal readings without any one of which the call would fall
 * @param contrary readings that speak against the lead
 * @param exact whether the confirming set is the smallest for certain, not just found step by step
 */
public record Confirmation(
        List<WeighedReading> confirming, List<WeighedReading> pivotal, List<WeighedReading> contrary, boolean exact) {

    static Confirmation of(Balance deciding, double threshold) {
        if (!(deciding.posterior(deciding.lead()) >= threshold)) {
            return new Confirmation(List.of(), List.of(), List.of(), true);
        }
        ConfirmingSet set = new ConfirmingSet(deciding, threshold);
        List<Integer> pivotal = new ArrayList<>();
        List<Integer> contrary = new ArrayList<>();
        for (int j = 0; j < deciding.readings().size(); j++) {
            if (!(set.posteriorWithout(j) >= threshold) || !set.leadsWithout(j)) {
                pivotal.add(j);
            }
            if (deciding.points(j, deciding.lead(), deciding.rival()) <= ModelConstants.CONTRARY_POINTS) {
                contrary.add(j);
            }
        }
        return new Confirmation(
                strongestFirst(deciding, Arrays.stream(set.find()).boxed().toList()),
                strongestFirst(deciding, pivotal),
                strongestFirst(deciding, contrary),
                deciding.readings().size() <= ConfirmingSet.MOST_EXACT);
    }

    private static List<WeighedReading> strongestFirst(Balance deciding, List<Integer> readings) {
        return readings.stream()
                .sorted(Comparator.comparingDouble(
                        (Integer j) -> -Math.abs(deciding.points(j, deciding.lead(), deciding.rival()))))
                .map(deciding.readings()::get)
                .toList();
    }
}
