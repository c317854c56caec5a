package org.goldthistle.entry;

import java.util.UUID;

/** A tree of a survey, as one observer works on it. */
public record TreeOfObserver(UUID surveyId, UUID treeId, UUID observerId) {}
