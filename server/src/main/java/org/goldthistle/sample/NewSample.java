package org.goldthistle.sample;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.Tissue;
import org.springframework.lang.Nullable;

/**
 * A sample that is asked for.
 *
 * @param tissue what is to be cut, as its code
 * @param analysis what is to be done with it, as its code
 * @param cross id of the hybrid whose parents' shares are wanted, by markers; null: the sheet's first one
 * @param note why, or where from; may be empty
 */
record NewSample(
        @NotNull UUID treeId,
        @NotNull @CodeOf(Tissue.class) String tissue,
        @NotNull @CodeOf(Analysis.class) String analysis,
        @Nullable @Size(max = 80) String cross,
        @NotNull @Size(max = 500) String note) {}
