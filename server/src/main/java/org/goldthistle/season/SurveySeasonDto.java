package org.goldthistle.season;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.CodeOf;
import org.springframework.lang.Nullable;

/**
 * A survey's season at a glance. What the caller is to read blind is counted as under review and no more.
 *
 * @param own whether calls, weeks and minutes are the caller's own alone, as a crew sees them
 * @param plots in the order of their codes
 * @param lines of the map, such as a coast or tracks: each a list of points, each of those a longitude and a latitude
 * @param plan what is to be signed until when; null: no lead said
 * @param weeks with anything signed in them, the first one first
 * @param groups with anything signed of them, the most contested first
 * @param reasons why calls were contested, the most frequent first
 * @param waits what waits, and for how long
 * @param comeBack trees to come back to, by month, January first; months without any are left out
 * @param mistaken taxa that are taken for each other, the most frequent first
 * @param walked who worked on trees, by call sign: to plan days by, and never a ranking
 */
record SurveySeasonDto(
        boolean own,
        List<PlotAtGlance> plots,
        List<List<List<Double>>> lines,
        @Nullable PlanDto plan,
        List<WeekOfSeason> weeks,
        List<GroupOfSeason> groups,
        List<ReasonOfSeason> reasons,
        List<WaitOfSeason> waits,
        List<MonthOfSeason> comeBack,
        List<MistakenPair> mistaken,
        List<WalkedBy> walked) {

    /** The same with what is counted by itself. */
    SurveySeasonDto with(List<MistakenPair> taken, List<WalkedBy> byObserver) {
        return new SurveySeasonDto(own, plots, lines, plan, weeks, groups, reasons, waits, comeBack, taken, byObserver);
    }

    /**
     * A plot on the map.
     *
     * @param latitude in degrees, WGS 84; null, as the next: it has no position
     * @param stems that bear a call of their own
     * @param open of them, those that nobody signed
     * @param contested of them, those whose call is contested
     * @param review of them, those that wait for a review
     * @param twice trees that two or more signed without knowing of each other
     * @param agreed of them, those on which all gave one answer
     */
    record PlotAtGlance(
            UUID id,
            String code,
            @Nullable Double latitude,
            @Nullable Double longitude,
            int stems,
            int open,
            int contested,
            int review,
            int twice,
            int agreed) {}

    /**
     * What is planned.
     *
     * @param trees to be signed for the first time
     * @param begins the first day
     * @param ends the last
     */
    record PlanDto(
            int trees, @NotNull LocalDate begins, @NotNull LocalDate ends) {}

    /**
     * Two taxa that were signed for one tree by two observers, or by an observer and a review.
     *
     * @param first id of the one
     * @param second id of the other
     * @param seasons of the district, as far as the caller belongs to their surveys
     */
    record MistakenPair(
            String groupId,
            String first,
            String second,
            String firstName,
            String secondName,
            List<MistakenInSeason> seasons) {}

    /**
     * How often in a season.
     *
     * @param season a year
     * @param own whether it is this survey
     */
    record MistakenInSeason(int season, boolean own, int trees) {}

    /**
     * What was signed in a week.
     *
     * @param from its Monday
     * @param first trees that were signed for the first time
     * @param further signatures of trees that had one
     * @param due trees that should be signed by its end; null: nothing is planned
     */
    record WeekOfSeason(
            LocalDate from,
            int first,
            int further,
            @Nullable Integer due) {}

    /**
     * Calls of a group.
     *
     * @param trees that were signed
     * @param contested of them, those that are contested
     * @param overruled of them, those whose review overruled a call
     */
    record GroupOfSeason(String groupId, String title, int trees, int contested, int overruled) {}

    /**
     * Why calls were contested.
     *
     * @param reason its code
     * @param calls that were
     */
    record ReasonOfSeason(String reason, int calls) {}

    /**
     * Something that waits.
     *
     * @param what code of what it waits for
     * @param trees that do
     * @param days since when the oldest does; null: none does
     */
    record WaitOfSeason(
            @CodeOf(WhatWaits.class) String what,
            int trees,
            @Nullable Integer days) {}

    /** Trees to come back to in a month, 1-12. */
    record MonthOfSeason(int month, int trees) {}

    /**
     * Work of one observer.
     *
     * @param days on which something was read
     * @param trees that were signed
     * @param minutes that a tree took, from its first reading of the day to its signature, the middle one of all; null: none was
     *     signed on the day on which it was read
     */
    record WalkedBy(
            String observer, int days, int trees, @Nullable Double minutes) {}
}
