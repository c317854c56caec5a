package org.goldthistle.today;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.Thistle;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.laboratory.Tissue;
import org.springframework.lang.Nullable;

/**
 * What an observer should do today; each list holds the first of its rows, and how many there are in all.
 *
 * @param month 1-12, by which what can be settled is told
 * @param walk plots with trees that nobody signed yet
 * @param settle their own contested calls that this month can settle, the likeliest first
 * @param waiting their own contested calls that this month cannot settle, by the month that can
 * @param samples that are to be taken, or that came back and are not weighed yet
 * @param unplayed contested calls whose months are still being played through
 */
record TodayDto(
        int month,
        List<PlotToWalk> walk,
        int walkInAll,
        List<CallToSettle> settle,
        int settleInAll,
        List<Waiting> waiting,
        int unplayed,
        List<SampleToday> samples) {

    /**
     * A sample for the laboratory.
     *
     * @param code on its label
     * @param cameBack whether a result is there; otherwise it is to be taken
     * @param caseId the review that it is weighed in; null: there is none
     */
    record SampleToday(
            UUID treeId,
            String plotCode,
            int tag,
            String code,
            @CodeOf(Tissue.class) String tissue,
            boolean cameBack,
            @Nullable UUID caseId) {}

    /** A plot with its open trees, and how many of those this observer has begun. */
    record PlotToWalk(UUID id, String code, int open, int begun, int comeBackNow) {}

    /**
     * A contested call.
     *
     * @param chance that a visit this month settles it, in [0, 1]
     * @param check to begin with; null: none stands out
     * @param leftForBest whether it is better left for that month than visited now
     * @param bestMonth the month with the best chance, 1-12
     */
    record CallToSettle(
            UUID treeId,
            String plotCode,
            int tag,
            String groupTitle,
            Thistle thistle,
            double chance,
            @Nullable String check,
            int bestMonth,
            double bestChance,
            boolean leftForBest) {}

    /** How many contested calls wait for a month; month 0: none can settle them, so a sample may. */
    record Waiting(int month, int calls) {}
}
