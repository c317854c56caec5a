package org.goldthistle.season;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;

/**
 * The season that follows a survey's.
 *
 * @param id of its survey, made by whoever asks
 * @param season a year after that of the survey
 */
record NewSeason(
        @NotNull UUID id,
        @NotBlank @Size(max = 120) String name,
        @Min(1900) @Max(2200) int season) {}
