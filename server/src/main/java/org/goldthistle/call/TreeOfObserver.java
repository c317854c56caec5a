package org.goldthistle.call;

import java.util.UUID;

/** A tree of a survey, as one observer works on it. */
record TreeOfObserver(UUID surveyId, UUID treeId, UUID observerId) {}
