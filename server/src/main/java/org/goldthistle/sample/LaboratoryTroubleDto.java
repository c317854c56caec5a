package org.goldthistle.sample;

import java.time.Instant;

/**
 * A message of the laboratory that counts for nothing.
 *
 * @param number of it
 * @param why in words
 * @param body as it came
 */
record LaboratoryTroubleDto(long number, String why, String body, Instant cameAt) {}
