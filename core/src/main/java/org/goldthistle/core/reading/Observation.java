package org.goldthistle.core.reading;

import java.util.OptionalInt;

/** One entry of the record: a character that was read, or one that could not be seen. */
public sealed interface Observation permits Reading, NotSeen {

    /** The id of the character. */
    String character();

    /** The month it was made in, 1-12; empty: the context's, which is that of the visit in hand. */
    OptionalInt month();
}
