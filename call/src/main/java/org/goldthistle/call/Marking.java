package org.goldthistle.call;

import java.time.Instant;

/** A mark of a gate item in the record of a call; a later one of the same item counts instead. */
public record Marking(String item, Mark mark, Instant recordedAt) {}
