package org.goldthistle.core.reading;

/** One entry of the record: a character that was read, or one that could not be seen. */
public sealed interface Observation permits Reading, NotSeen {

    /** The id of the character. */
    String character();
}
