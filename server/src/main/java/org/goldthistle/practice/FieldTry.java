package org.goldthistle.practice;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.PracticeTry;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.practice.PracticeScore;
import org.springframework.lang.Nullable;

/**
 * What somebody called a settled case by its photos, as it is sent.
 *
 * @param endedAt when it was called
 * @param outcome what it was called
 * @param taxonId the name that was given; null: none
 * @param belief how sure they said they were, 0.5-0.99; null: it was left open
 */
record FieldTry(
        @NotNull Instant endedAt,
        @NotNull @CodeOf(PracticeTry.Named.class) String outcome,
        @Nullable @Size(max = 60) String taxonId,
        @Nullable @DecimalMin("0.5") @DecimalMax("0.99") Double belief) {

    /**
     * What became of it.
     *
     * @param truth id of the taxon that stands by the review
     * @param readers what its readers named and read, in their order
     */
    record FieldResult(
            UUID surveyId,
            UUID caseId,
            @CodeOf(PracticeScore.Verdict.class) String verdict,
            String truth,
            List<FieldReaderDto> readers) {}

    /** What one of its readers named, and read. */
    record FieldReaderDto(String callSign, @Nullable String taxonId, List<NewReading> readings) {}
}
