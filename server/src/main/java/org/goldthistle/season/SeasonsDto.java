package org.goldthistle.season;

import java.util.List;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * The seasons of a district side by side, as far as the caller belongs to their surveys. What the caller is to read blind
 * counts neither as contested nor as read twice.
 *
 * @param seasons the earliest first
 * @param pairs taxa that were ever taken for each other, the most frequent first
 * @param plots by code, those that more than one season has
 */
record SeasonsDto(List<SeasonFigures> seasons, List<PairInSeasons> pairs, List<PlotInSeasons> plots) {

    /**
     * A season.
     *
     * @param season a year
     * @param trees that were signed
     * @param contested of them, those whose call is contested
     * @param overruled of them, those whose review overruled a call
     * @param twice that two or more signed without knowing of each other
     * @param agreed of them, those on which all gave one answer
     * @param minutes that a tree took, the middle one of all; null: none was signed on the day on which it was read
     */
    record SeasonFigures(
            UUID surveyId,
            String name,
            int season,
            int trees,
            int contested,
            int overruled,
            int twice,
            int agreed,
            @Nullable Double minutes) {}

    /**
     * Two answers: taxa, or that only the group was recorded.
     *
     * @param first the one, in words
     * @param second the other, in words
     * @param seasons those in which any tree was read twice and called so
     */
    record PairInSeasons(String groupTitle, String first, String second, List<TwiceInSeason> seasons) {}

    /**
     * Trees of a season that were read twice and to which everybody gave one of the two answers.
     *
     * @param twice how many they are
     * @param agreed of them, those on which all gave one answer
     */
    record TwiceInSeason(UUID surveyId, int twice, int agreed) {}

    /**
     * A plot.
     *
     * @param seasons those in which anything was signed in it, the earliest first
     */
    record PlotInSeasons(String code, List<PlotInSeason> seasons) {}

    /**
     * A plot in a season.
     *
     * @param trees that were signed
     * @param contested of them, those whose call is contested
     * @param twice that two or more signed without knowing of each other
     * @param agreed of them, those on which all gave one answer
     */
    record PlotInSeason(UUID surveyId, UUID plotId, int trees, int contested, int twice, int agreed) {}
}
