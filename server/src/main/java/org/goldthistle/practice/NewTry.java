package org.goldthistle.practice;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.PracticeTry;
import org.goldthistle.core.CodeOf;
import org.springframework.lang.Nullable;

/**
 * What somebody made of a practice tree, as it is sent.
 *
 * @param sheetVersionId of the sheet that it was drawn from
 * @param setId the set that it belongs to; null: none
 * @param begunAt when it was taken up
 * @param endedAt when it was called
 * @param seed of the tree
 * @param one taxon of the pair that it practises, by id
 * @param other taxon of it
 * @param readings in the order in which they were entered
 * @param gate marks of the gate, in the order in which they were made
 * @param outcome what it was called
 * @param taxonId the name that was given; null: none
 * @param belief how sure they said they were, 0.5-0.99; null: they were not asked, since it was left open
 */
record NewTry(
        @NotNull UUID sheetVersionId,
        @Nullable UUID setId,
        @NotNull Instant begunAt,
        @NotNull Instant endedAt,
        @Min(0) int seed,
        @NotNull @Size(max = 60) String one,
        @NotNull @Size(max = 60) String other,
        @NotNull @Size(max = 200) List<@Valid NewReading> readings,
        @NotNull @Size(max = 100) List<PracticeTry.MarkedItem> gate,
        @NotNull @CodeOf(PracticeTry.Named.class) String outcome,
        @Nullable @Size(max = 60) String taxonId,
        @Nullable @DecimalMin("0.5") @DecimalMax("0.99") Double belief) {

    PracticeTry made() {
        return new PracticeTry(seed, one, other, readings, gate, outcome, taxonId);
    }
}
