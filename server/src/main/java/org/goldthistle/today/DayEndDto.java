package org.goldthistle.today;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.Outcome;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.laboratory.Tissue;
import org.springframework.lang.Nullable;

/**
 * An observer's day, at its end.
 *
 * @param began first reading; null, as the next: nothing was read
 * @param ended last reading or signature
 * @param minutes at trees that were read and signed that day, all together
 * @param plots that they worked in, by code
 * @param unsigned trees that they began, this day or before, and nobody has signed
 * @param carried samples that they took and that are in no parcel yet
 */
record DayEndDto(
        @Nullable Instant began,
        @Nullable Instant ended,
        int minutes,
        List<PlotOfDay> plots,
        List<UnsignedTree> unsigned,
        List<SampleCarried> carried) {

    /**
     * A plot.
     *
     * @param read trees of which something was read
     * @param open trees that nobody has signed yet
     * @param signed trees that they signed, by tag
     */
    record PlotOfDay(UUID id, String code, int read, int open, List<SignedOfDay> signed) {}

    /**
     * A tree that they signed.
     *
     * @param outcome of the signature
     * @param month to come back in, 1-12, for that outcome
     * @param name common name of the taxon, or of the group
     * @param contested whether their call is
     */
    record SignedOfDay(
            UUID treeId,
            int tag,
            @CodeOf(Outcome.class) String outcome,
            @Nullable Integer month,
            String name,
            boolean contested) {}

    /**
     * A tree that waits for their signature.
     *
     * @param readings that they made
     * @param today whether any of them that day
     */
    record UnsignedTree(UUID treeId, String plotCode, int tag, String groupTitle, int readings, boolean today) {}

    /**
     * A sample to be packed.
     *
     * @param code on its label
     * @param tissue what was cut
     */
    record SampleCarried(
            UUID treeId,
            String plotCode,
            int tag,
            String code,
            @CodeOf(Tissue.class) String tissue) {}
}
