package org.goldthistle.practice;

import java.time.Instant;
import java.util.UUID;
import org.goldthistle.call.PracticeResult;
import org.goldthistle.call.PracticeTry;
import org.springframework.lang.Nullable;

/** A try on record, with what became of it. */
record KeptTry(
        UUID id,
        UUID observerId,
        UUID sheetVersionId,
        String groupId,
        Instant endedAt,
        @Nullable Double belief,
        PracticeTry made,
        PracticeResult result,
        String sentSha256) {

    private static final double SECONDS_A_DAY = 86_400;

    /** When it ended, in days since 1970. */
    double day() {
        return dayOf(endedAt);
    }

    static double dayOf(Instant moment) {
        return moment.getEpochSecond() / SECONDS_A_DAY;
    }
}
