package org.goldthistle.practice;

import java.util.UUID;

/**
 * What a survey asks an observer to have practised in a group before their names count by themselves, and how far they are.
 *
 * @param needed trees called rightly
 * @param of so many in a row
 * @param tried this season
 * @param right the most of so many in a row that were right
 * @param passed whether that is enough; until then each call goes to a second reading
 */
record SignedOffDto(
        UUID surveyId,
        String surveyName,
        String groupId,
        String groupTitle,
        int needed,
        int of,
        int tried,
        int right,
        boolean passed) {}
