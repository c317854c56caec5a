package org.goldthistle.core.balance;

/**
 * How unexpected a reading is under a taxon, beside what was to be expected: section 8 of {@code docs/model.md}.
 *
 * @param found s, the surprise of what was read, in nats or as half a squared deviation
 * @param expected e, its mean under the taxon
 * @param variance v, its variance under the taxon, at least 0 but for rounding
 */
public record Surprise(double found, double expected, double variance) {}
