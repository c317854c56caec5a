package org.goldthistle.plotlist;

import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * A plot in a survey's list.
 *
 * @param latitude degrees north, WGS 84; null, as the next: not measured yet
 * @param closed whether its field work is done
 * @param stems all of them
 * @param open calls that nobody signed yet
 * @param comeBack calls that were signed to come back
 * @param contested calls with a reason to contest them, signed or not
 */
record PlotRow(
        UUID id,
        String code,
        @Nullable Double latitude,
        @Nullable Double longitude,
        boolean closed,
        int stems,
        int open,
        int comeBack,
        int contested) {}
