package org.goldthistle.core.verdict;

import java.util.OptionalDouble;

/**
 * A condition of the tier, and how far it is met: section 6.
 *
 * @param need what is asked for
 * @param met whether it holds
 * @param asked the share of belief, in (0, 1), or the number of organs that is asked for; empty: no figure decides it
 * @param now the same as it stands; empty where nothing is asked for in figures
 */
public record Condition(Need need, boolean met, OptionalDouble asked, OptionalDouble now) {

    static Condition of(Need need, boolean met) {
        return new Condition(need, met, OptionalDouble.empty(), OptionalDouble.empty());
    }

    /** A condition that holds when a share of belief is reached. */
    static Condition share(Need.Kind kind, double asked, double now) {
        return new Condition(Need.of(kind), now >= asked, OptionalDouble.of(asked), OptionalDouble.of(now));
    }

    /** A condition on how many organs support the lead. */
    static Condition organs(boolean met, int asked, int now) {
        return new Condition(Need.of(Need.Kind.QUORUM), met, OptionalDouble.of(asked), OptionalDouble.of(now));
    }
}
