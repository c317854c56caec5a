package org.goldthistle.control;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;
import org.goldthistle.core.CodeOf;

/**
 * What was done with a tree, as it is sent.
 *
 * @param after the last word that its observer knew; null: none
 * @param what was done, as its code
 * @param doneOn the day on which it was done
 * @param note in the observer's words; may be empty
 */
record NewWork(
        @NotNull UUID treeId,
        @Nullable UUID after,
        @NotNull @CodeOf(Work.class) String what,
        @NotNull LocalDate doneOn,
        @NotNull @Size(max = 2000) String note) {}
