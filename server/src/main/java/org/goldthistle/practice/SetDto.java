package org.goldthistle.practice;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * A set of practice trees that a crew calls together; what came of them is told once it is closed.
 *
 * @param versionId of the sheet that they are drawn from
 * @param closedAt null: it goes on
 * @param trees in their order
 * @param readers who called at least one, with how many
 * @param mine how many trees the observer called
 * @param results by tree; empty while it goes on
 * @param worst characters that were mistaken most often, the worst first; empty while it goes on
 */
record SetDto(
        UUID id,
        String groupId,
        String groupTitle,
        UUID versionId,
        String openedBy,
        Instant openedAt,
        @Nullable Instant closedAt,
        List<SeededDto> trees,
        List<SetReaderDto> readers,
        int mine,
        List<SetResultDto> results,
        List<SetWorstDto> worst) {

    /** A tree: its seed, and the pair that it practises. */
    record SeededDto(int seed, String one, String other) {}

    /** A reader, without a word on how well they read. */
    record SetReaderDto(String callSign, int called) {}

    /**
     * What was made of a tree, without names.
     *
     * @param truth id of its taxon; empty: none of these
     * @param right calls that name it
     * @param wrong calls that name something else
     * @param open calls that name nothing
     */
    record SetResultDto(int seed, String truth, int right, int wrong, int open) {}

    /**
     * A character, over all looks at it.
     *
     * @param looks at it
     * @param right looks that were read as they are
     * @param shown the state that was mistaken most often, by id; empty: it is a number
     * @param read what that was read as
     */
    record SetWorstDto(String character, int looks, int right, String shown, String read) {}
}
