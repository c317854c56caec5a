package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;

/** A stem as other features see it; stage, origin and habitat are the codes of a group sheet. */
public record SurveyedTree(
        UUID id,
        UUID surveyId,
        String surveyName,
        String plotCode,
        int tag,
        String groupId,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        String stage,
        String origin,
        List<String> habitat) {}
