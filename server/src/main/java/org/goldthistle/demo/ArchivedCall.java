package org.goldthistle.demo;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
        String note) {

    /** What was read of one character: states or values, one per replicate, or not seen; words are a sheet's codes. */
    record Reading(
            String character,
            @Nullable List<String> states,
            @Nullable List<Double> values,
            @Nullable String certainty,
            @Nullable String material,
            @Nullable String position) {}
}
