package org.goldthistle.season;

import java.util.UUID;

/**
 * A season that was begun.
 *
 * @param surveyId its survey
 * @param plots that went with it
 * @param stems that still stand
 * @param records verified trees of the district that weigh in what is believed beforehand
 */
record SeasonBegunDto(UUID surveyId, int plots, int stems, int records) {}
