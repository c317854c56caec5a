package org.goldthistle.core.sheet;

/** What careful readings of one character look like in one taxon: frequencies of states, or a range of values. */
public sealed interface Profile permits StateProfile, RangeProfile {}
