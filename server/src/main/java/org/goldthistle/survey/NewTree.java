package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;

/**
 * A stem to be recorded.
 *
 * @param tag number on the stem, unique in the plot
 * @param groupId the confusable group it belongs to
 * @param azimuthDegrees from the plot's centre, clockwise from north, in [0, 360)
 * @param distanceMetres from the plot's centre
 * @param diameterMillimetres at breast height
 * @param stage code of its life stage
 * @param origin code of how it came to stand there
 * @param habitat codes of the ground
 */
public record NewTree(
        UUID id,
        int tag,
        String groupId,
        double azimuthDegrees,
        double distanceMetres,
        int diameterMillimetres,
        String stage,
        String origin,
        List<String> habitat) {}
