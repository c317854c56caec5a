package org.goldthistle.core.sheet;

/** The values of a numeric character in one taxon. */
public record RangeProfile(Range range) implements Profile {}
