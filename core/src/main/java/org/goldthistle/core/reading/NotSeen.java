package org.goldthistle.core.reading;

/** A character that could not be seen on this visit: no evidence, but not to be asked for again. */
public record NotSeen(String character) implements Observation {}
