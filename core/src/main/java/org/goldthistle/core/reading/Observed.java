package org.goldthistle.core.reading;

/** What was seen, one entry per replicate (leaf, cone …). */
public sealed interface Observed permits StatesObserved, ValuesObserved {

    /** How many leaves, cones … were read, at least one. */
    int replicates();
}
