package org.goldthistle.control;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.LookMade;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.PracticeTry;

/**
 * A last look, as it is sent.
 *
 * @param approvalId the approval under which the tree was on the card
 * @param sheetVersionId of the sheet that the card asked by
 * @param month for which the card chose its features, 1-12
 * @param lookedAt when it was taken
 * @param readings in the order in which they were entered
 * @param gate in the order in which items were marked
 */
record NewLook(
        @NotNull UUID treeId,
        @NotNull UUID approvalId,
        @NotNull UUID sheetVersionId,
        @Min(1) @Max(12) int month,
        @NotNull Instant lookedAt,
        @NotNull @Size(max = 20) List<@Valid NewReading> readings,
        @NotNull @Size(max = 100) List<PracticeTry.MarkedItem> gate) {

    /** When it was taken, as far as that can be: a device's clock may run ahead. */
    Instant takenBy(Instant now) {
        return lookedAt.isBefore(now) ? lookedAt : now;
    }

    LookMade made() {
        return new LookMade(readings, gate);
    }
}
