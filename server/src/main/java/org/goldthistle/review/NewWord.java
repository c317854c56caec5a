package org.goldthistle.review;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import org.springframework.lang.Nullable;

/**
 * Something to be said of a case.
 *
 * @param character that it is about; null: the whole
 */
record NewWord(
        @Nullable String character,
        @NotBlank @Size(max = 2000) String body) {}
