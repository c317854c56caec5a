package org.goldthistle.review;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * A decision.
 *
 * @param outcome agree, overrule, third-look, laboratory or not-separable
 * @param stands the call that stands, for agree; null otherwise
 * @param reasons in words; must be given to overrule
 * @param version of the case that was looked at
 */
record NewDecision(
        @NotNull String outcome,
        @Nullable UUID stands,
        @NotNull @Size(max = 4000) String reasons,
        @NotNull Integer version) {}
