package org.goldthistle.practice;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.springframework.lang.Nullable;

/**
 * What an observer practised, what sits and what slips.
 *
 * @param tries how many trees they called
 * @param minutesADay of checks that a day gives
 * @param minutesToday that were spent today, by UTC
 * @param next what to practise, the first first
 * @param pairs each that was practised, the latest first
 * @param own how often they were right by how sure they said they were, in ten bins
 * @param sheets how often the taxon that their readings spoke for was right by its share, in ten bins
 * @param mistaken what they took for something else, the most often first
 * @param overruled calls of theirs that a review overruled
 * @param signedOff what their surveys ask for, and how far they are
 */
record MyPracticeDto(
        int tries,
        int minutesADay,
        double minutesToday,
        List<PracticeNextDto> next,
        List<PracticePairDto> pairs,
        List<PracticeBinDto> own,
        List<PracticeBinDto> sheets,
        List<MistakenDto> mistaken,
        List<OverruledCallDto> overruled,
        List<SignedOffDto> signedOff) {

    /** Why something is practised next. */
    enum Why implements Coded {
        /** It has slipped. */
        DUE("due"),
        /** A call of theirs between the two was overruled. */
        OVERRULED("overruled"),
        /** It was not seen for the longest, or never. */
        FRESH("fresh");

        private final String code;

        Why(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** Two taxa of a group, by id, on its newest sheet. */
    record PracticeNextDto(
            String groupId,
            String groupTitle,
            UUID versionId,
            String one,
            String other,
            @CodeOf(Why.class) String why) {}

    /**
     * A pair that was practised.
     *
     * @param versionId of the group's newest sheet
     * @param items by character
     */
    record PracticePairDto(
            String groupId,
            String groupTitle,
            UUID versionId,
            String one,
            String other,
            Instant lastAt,
            List<PracticeItemDto> items) {}

    /**
     * A character on trees of the pair.
     *
     * @param halfLifeDays after how many days half of it is forgotten
     * @param known the chance that it is still known, 0-1
     * @param due whether it is time to try it again
     */
    record PracticeItemDto(String character, double halfLifeDays, double known, boolean due) {}

    /** A bin of a reliability curve; the mean belief is null where it holds no tries. */
    record PracticeBinDto(
            double from,
            double to,
            int tries,
            int right,
            @Nullable Double meanBelief) {}

    /**
     * A state that was read as another.
     *
     * @param versionId of the group's newest sheet
     * @param shown id of the state that the tree showed
     * @param read id of the state that was read
     */
    record MistakenDto(String groupId, UUID versionId, String character, String shown, String read, int times) {}

    /** A call that was overruled: what it named, and what stands. */
    record OverruledCallDto(
            UUID surveyId, UUID caseId, String plotCode, int tag, String groupId, String named, String stands) {}
}
