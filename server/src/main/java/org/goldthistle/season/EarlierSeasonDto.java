package org.goldthistle.season;

import org.goldthistle.call.TreeStanding;
import org.springframework.lang.Nullable;

/**
 * What the tree of the same plot and tag stood as in an earlier season: no reading, and nothing of it weighs.
 *
 * @param season a year
 * @param survey its name
 * @param standsAs plain, open, or the outcome that was signed last
 * @param name common name of what was signed last; null: nothing was
 * @param contested whether any observer's call was
 * @param reviewed whether a review settled it
 */
record EarlierSeasonDto(
        int season,
        String survey,
        TreeStanding standsAs,
        @Nullable String name,
        boolean contested,
        boolean reviewed) {}
