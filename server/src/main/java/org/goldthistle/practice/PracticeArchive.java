package org.goldthistle.practice;

import java.time.Instant;
import java.util.UUID;
import org.goldthistle.call.PracticeTry;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts tries on record that were made at another time, by the same rules. */
@Service
public class PracticeArchive {
    private final Tries tries;

    PracticeArchive(Tries tries) {
        this.tries = tries;
    }

    /** Puts a try on record. */
    @Transactional
    public void keep(
            UUID tryId,
            UUID observerId,
            UUID sheetVersionId,
            Instant begun,
            Instant ended,
            PracticeTry made,
            @Nullable Double belief) {
        tries.keep(
                observerId,
                tryId,
                new NewTry(
                        sheetVersionId,
                        null,
                        begun,
                        ended,
                        made.seed(),
                        made.one(),
                        made.other(),
                        made.readings(),
                        made.gate(),
                        made.outcome(),
                        made.taxonId(),
                        belief));
    }
}
