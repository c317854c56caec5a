package org.goldthistle.call;

import java.time.Instant;
import java.util.UUID;

/**
 * A reading in the record of a call; a later one on the same character counts instead.
 *
 * @param visit which of the call's visits it was made on, from 0
 * @param reading what was read; it names no month, since which one its visit was in is the call's to say
 * @param readAt when it was read, by what the observer's device said of its age
 * @param recordedAt when it came into the record
 */
public record Entry(UUID id, int visit, NewReading reading, Instant readAt, Instant recordedAt) {}
