package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;

/**
 * A stem as other features see it; stage, origin and habitat are the codes of a group sheet.
 *
 * @param woundingAllowed whether its survey lets a tree be wounded for a check
 * @param photoPositionKept whether photos of it keep where they were taken
 */
public record SurveyedTree(
        UUID id,
        UUID surveyId,
        String surveyName,
        boolean woundingAllowed,
        boolean photoPositionKept,
        String plotCode,
        int tag,
        String groupId,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        String stage,
        String origin,
        List<String> habitat) {}
