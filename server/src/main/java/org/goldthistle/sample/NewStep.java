package org.goldthistle.sample;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.laboratory.SampleStep;

/**
 * A step of a sample.
 *
 * @param step as its code
 * @param from the step at which its observer saw it, so that two do not go on from it at once
 * @param note may be empty
 */
record NewStep(
        @NotNull @CodeOf(SampleStep.class) String step,
        @NotNull @CodeOf(SampleStep.class) String from,
        @NotNull @Size(max = 500) String note) {}
