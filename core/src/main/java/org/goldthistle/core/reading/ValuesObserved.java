package org.goldthistle.core.reading;

import java.util.List;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;

/** Numbers counted or measured, one per replicate, in the unit of their character, none below 0. */
public record ValuesObserved(List<Double> values) implements Observed {
    /** @throws RefusedException if there is none, or one is negative or not finite */
    public ValuesObserved {
        values = List.copyOf(values);
        var refusals = new Refusals();
        refusals.require(!values.isEmpty(), "values", "none", "at least one number");
        for (double value : values) {
            refusals.require(value >= 0 && Double.isFinite(value), "values", value, "a number of 0 or more");
        }
        refusals.throwIfAny();
    }

    @Override
    public int replicates() {
        return values.size();
    }

    /** The arithmetic mean of the values. */
    public double mean() {
        double sum = 0;
        for (double value : values) {
            sum += value;
        }
        return sum / values.size();
    }
}
