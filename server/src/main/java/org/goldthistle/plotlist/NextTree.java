package org.goldthistle.plotlist;

import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * Where an observer goes on to in a plot.
 *
 * @param id of the nearest tree that wants the Bench and that nobody has signed, those that the observer has not begun
 *     first; null, as the next three: none is left in this plot
 * @param metres from the tree at hand
 * @param degrees in which direction it lies, clockwise from north, in [0, 360)
 * @param left how many such trees there are
 */
record NextTree(
        @Nullable UUID id,
        @Nullable Integer tag,
        @Nullable Double metres,
        @Nullable Double degrees,
        int left) {}
