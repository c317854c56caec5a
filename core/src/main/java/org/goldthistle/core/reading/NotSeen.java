package org.goldthistle.core.reading;

import java.util.OptionalInt;

/**
 * A character that could not be seen on a visit: no evidence, but not to be asked for again in that month.
 *
 * @param character id of the character
 * @param month it was looked for in, 1-12; empty: the context's
 * @param notBorne whether the tree bears none of it
 */
public record NotSeen(String character, OptionalInt month, boolean notBorne) implements Observation {

    /** @throws org.goldthistle.core.RefusedException if the month is out of range */
    public NotSeen {
        Context.requireMonth(month);
    }

    /** Looked for in a month, and hidden or out of reach. */
    public NotSeen(String character, OptionalInt month) {
        this(character, month, false);
    }

    /** Looked for on the visit in hand. */
    public NotSeen(String character) {
        this(character, OptionalInt.empty());
    }
}
