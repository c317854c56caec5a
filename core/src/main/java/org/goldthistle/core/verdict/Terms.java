package org.goldthistle.core.verdict;

import java.util.Optional;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.School;

/**
 * What a survey asks of its calls.
 *
 * @param asked the tier that is asked for
 * @param school whose weights count; empty: the sheet's own
 * @param mostHarm the worst that may be done to a tree
 * @param costs that set p*; empty: the tier's own p*
 */
public record Terms(Tier asked, Optional<School> school, Harm mostHarm, Optional<Costs> costs) {

    /** A survey that says nothing else: the sheet's weights, samples allowed, wounds not. */
    public static Terms of(Tier asked) {
        return of(asked, Optional.empty());
    }

    /** The same by a school's weights; empty: the sheet's own. */
    public static Terms of(Tier asked, Optional<School> school) {
        return new Terms(asked, school, Harm.worst(false), Optional.empty());
    }

    /** p* at a tier. */
    public double threshold(Tier effective) {
        return costs.map(given -> given.threshold(effective)).orElse(effective.threshold());
    }
}
