package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.plot.PolarPosition;

/**
 * Where an observer goes on to in a plot.
 *
 * @param id of the nearest tree that wants the Bench and that nobody has signed, those that the observer has not begun
 *     first; null, as the next three: none is left in this plot
 * @param metres from the tree at hand
 * @param degrees in which direction it lies, clockwise from north, in [0, 360)
 * @param left how many such trees there are
 */
public record NextTree(
        @Nullable UUID id,
        @Nullable Integer tag,
        @Nullable Double metres,
        @Nullable Double degrees,
        int left) {

    /**
     * A stem that wants the Bench and that nobody has signed.
     *
     * @param begun whether the observer has read something of it
     */
    public record OpenStem(UUID id, int tag, PolarPosition at, boolean begun) {}

    /** Whether a tree of a plot wants the Bench and nobody has signed it. */
    public static boolean isOpen(boolean ofGroup, boolean stemOfOther, TreeStanding standing) {
        return ofGroup && !stemOfOther && standing == TreeStanding.OPEN;
    }

    /** The nearest of the others in a plot, those that are not begun first; where two are as near, the lower tag. */
    public static NextTree from(PolarPosition here, List<OpenStem> others) {
        return others.stream()
                .min(Comparator.comparing(OpenStem::begun)
                        .thenComparingDouble(stem -> here.metresTo(stem.at()))
                        .thenComparingInt(OpenStem::tag))
                .map(stem -> new NextTree(
                        stem.id(), stem.tag(), here.metresTo(stem.at()), here.degreesTo(stem.at()), others.size()))
                .orElseGet(() -> new NextTree(null, null, null, null, 0));
    }
}
