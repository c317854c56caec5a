package org.goldthistle.formats;

import java.util.Optional;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.Finding;

/**
 * What a laboratory says of a sample.
 *
 * @param sample code on its label
 * @param finding empty: nothing could be found
 * @param failed why; empty if something was found
 */
public record LaboratoryResult(String sample, Analysis analysis, Optional<Finding> finding, String failed) {}
