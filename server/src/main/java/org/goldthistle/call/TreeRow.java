package org.goldthistle.call;

import java.util.List;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * A tree in its plot's table and map, as it was entered and as one observer works on it.
 *
 * @param habitat null: as its plot
 * @param cloneOf the stem that bears its call; null: it bears its own
 * @param standsAs plain, open, the outcome that was signed last, or review: what it was signed as is kept from this
 *     observer, who is to read it without knowing; the next fields then say nothing
 * @param standsName common name of what was signed last; null: nothing
 * @param comeBackMonth 1-12, if that was signed
 * @param contested whether any observer's call is
 * @param reviewed whether what it stands as was settled by a review
 * @param readings that this observer made
 * @param readAs group in which this observer works on it; null, as the next two: they have not begun
 * @param verdict of their call
 * @param thistle their call at a glance
 */
record TreeRow(
        UUID id,
        int tag,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        @Nullable Integer heightDecimetres,
        String stage,
        String origin,
        @Nullable List<String> habitat,
        String conditionNotes,
        @Nullable String groupId,
        @Nullable String plainTaxon,
        @Nullable UUID cloneOf,
        int version,
        String standsAs,
        @Nullable String standsName,
        @Nullable Integer comeBackMonth,
        boolean contested,
        boolean reviewed,
        int readings,
        @Nullable String readAs,
        @Nullable String verdict,
        @Nullable ThistleDto thistle) {}
