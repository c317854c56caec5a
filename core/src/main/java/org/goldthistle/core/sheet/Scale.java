package org.goldthistle.core.sheet;

/** What a character is read on: named states, or numbers. */
public sealed interface Scale permits StateScale, NumberScale {

    /** The word for this scale in a sheet's {@code kind}. */
    String kind();
}
