package org.goldthistle.review;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * A decision.
 *
 * @param outcome agree, overrule, third-look, laboratory, laboratory-result or not-separable
 * @param stands the call that stands, for agree; null otherwise
 * @param taxon that the laboratory found, for laboratory-result; null otherwise
 * @param reasons in words; must be given to overrule, and name the report for a result
 * @param version of the case that was looked at
 */
record NewDecision(
        @NotNull String outcome,
        @Nullable UUID stands,
        @Nullable String taxon,
        @NotNull @Size(max = 4000) String reasons,
        @NotNull Integer version) {}
