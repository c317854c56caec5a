package org.goldthistle.signing;

import java.time.Instant;
import java.util.UUID;
import org.goldthistle.survey.SurveyedTree;

/** A call that was just signed. */
public record Signature(SurveyedTree tree, UUID observerId, UUID determinationId, Instant at) {}
