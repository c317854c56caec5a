package org.goldthistle.demo;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.Taken;
import org.springframework.lang.Nullable;

/**
 * A call that was made at another time, on its way into the record.
 *
 * @param begun when it was begun; its month is the call's
 * @param tier code of what it is for
 * @param readings in the order of reading, one a minute from then on
 * @param signed when it was signed; empty: it was not
 * @param mayComeBack whether another visit was still to come when it was signed
 * @param note what the observer signed it with
 * @param photos that were taken of it
 */
record ArchivedCall(
        UUID surveyId,
        UUID treeId,
        UUID observerId,
        Instant begun,
        String tier,
        List<Reading> readings,
        Optional<Instant> signed,
        boolean mayComeBack,
        String note,
        List<Shot> photos) {

    /** One without photos. */
    ArchivedCall(
            UUID surveyId,
            UUID treeId,
            UUID observerId,
            Instant begun,
            String tier,
            List<Reading> readings,
            Optional<Instant> signed,
            boolean mayComeBack,
            String note) {
        this(surveyId, treeId, observerId, begun, tier, readings, signed, mayComeBack, note, List.of());
    }

    /** The same with other readings and photos. */
    ArchivedCall with(List<Reading> others, List<Shot> shots) {
        return new ArchivedCall(surveyId, treeId, observerId, begun, tier, others, signed, mayComeBack, note, shots);
    }

    /** A photo that was taken of a character, a JPEG. */
    record Shot(UUID id, String character, byte[] content) {}

    /**
     * What was read of one character: states or values, one per replicate, or not seen; words are a sheet's codes. How the
     * values were taken, one for each; null: they were said.
     */
    record Reading(
            String character,
            @Nullable List<String> states,
            @Nullable List<Double> values,
            @Nullable String certainty,
            @Nullable String material,
            @Nullable String position,
            @Nullable List<Taken> taken) {}
}
