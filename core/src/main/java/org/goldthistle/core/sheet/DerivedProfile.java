package org.goldthistle.core.sheet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.goldthistle.core.balance.ModelConstants;

/**
 * The profile of a hybrid whose sheet gives none, made from its parents' before blur and lapse: section 11 of
 * {@code docs/model.md}.
 *
 * @see "Anderson 1949, Introgressive Hybridization"
 */
final class DerivedProfile {

    private DerivedProfile() {}

    static Profile of(Scale scale, Profile first, Profile second) {
        if (first instanceof RangeProfile a && second instanceof RangeProfile b) {
            return new RangeProfile(between(a.range(), b.range()));
        }
        return between((StateScale) scale, (StateProfile) first, (StateProfile) second);
    }

    /** Halfway between the parents and somewhat wider than either's mean: with lo, hi the mean usual limits, d = hi − lo. */
    private static Range between(Range a, Range b) {
        double lo = mean(a.usuallyLow(), b.usuallyLow());
        double hi = mean(a.usuallyHigh(), b.usuallyHigh());
        double d = hi - lo;
        return new Range(
                Math.max(0, mean(a.rarelyLow(), b.rarelyLow()) - ModelConstants.RARE_WIDENING * d),
                Math.max(0, lo - ModelConstants.USUAL_WIDENING * d),
                Math.max(0, hi + ModelConstants.USUAL_WIDENING * d),
                Math.max(0, mean(a.rarelyHigh(), b.rarelyHigh()) + ModelConstants.RARE_WIDENING * d));
    }

    /** Unordered states: each parent's half the time. Ordered states: half that, half the state between the two. */
    private static StateProfile between(StateScale scale, StateProfile a, StateProfile b) {
        List<State> states = scale.states();
        double[] midpoint = scale.ordered() ? midpoints(states, a, b) : new double[0];
        Map<String, Double> frequencies = new LinkedHashMap<>();
        for (int i = 0; i < states.size(); i++) {
            String id = states.get(i).id();
            double mixed = mean(a.frequency(id), b.frequency(id));
            frequencies.put(id, scale.ordered() ? mean(mixed, midpoint[i]) : mixed);
        }
        return new StateProfile(frequencies);
    }

    /** One state drawn from each parent, independently; the mass goes to the state halfway, or is split over its two neighbours. */
    private static double[] midpoints(List<State> states, StateProfile a, StateProfile b) {
        double[] mass = new double[states.size()];
        for (int i = 0; i < mass.length; i++) {
            for (int j = 0; j < mass.length; j++) {
                double both = a.frequency(states.get(i).id())
                        * b.frequency(states.get(j).id());
                mass[(i + j) / 2] += both / 2;
                mass[(i + j + 1) / 2] += both / 2;
            }
        }
        return mass;
    }

    private static double mean(double a, double b) {
        return (a + b) / 2;
    }
}
