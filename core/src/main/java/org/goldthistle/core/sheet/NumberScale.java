package org.goldthistle.core.sheet;

import java.util.Optional;
import org.goldthistle.core.Refusals;

/**
 * A character that is counted or measured.
 *
 * @param measure what kind of number it is
 * @param measured how it is taken; empty: the number itself is said
 */
public record NumberScale(Measure measure, Optional<Measured> measured) implements Scale {

    /** @throws org.goldthistle.core.RefusedException if what is taken is no number of this kind */
    public NumberScale {
        var refusals = new Refusals();
        measured.ifPresent(taken -> refusals.require(
                taken.way().gives() == measure,
                "measured.as",
                "\"" + taken.way().code() + "\"",
                "a way of measuring that gives a " + measure.code()));
        refusals.throwIfAny();
    }

    /** A number that is said as it is. */
    public NumberScale(Measure measure) {
        this(measure, Optional.empty());
    }

    @Override
    public String kind() {
        return measure.code();
    }

    /** Whether only whole numbers can be read. */
    public boolean isCount() {
        return measure == Measure.COUNT;
    }
}
