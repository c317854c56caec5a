package org.goldthistle.review;

import java.time.Instant;
import java.util.UUID;

/** Knows whose names in a group do not count by themselves yet, so that each goes to a second reading. */
public interface Unproven {
    /** Whether a survey asked an observer at a time to practise a group first, and they had not by then. */
    boolean isUnproven(UUID surveyId, String groupId, UUID observerId, Instant at);
}
