package org.goldthistle.formats;

import java.util.List;

/**
 * A row of a survey's file: a plot, and a tree of it unless the tag is null. What is not known is null.
 *
 * @param latitude degrees north of the plot's centre, WGS 84
 * @param longitude degrees east
 * @param radiusMetres of the plot
 * @param altitudeMetres above the sea
 * @param plotHabitat codes of the plot's ground
 * @param tag number on the stem, unique in the plot
 * @param azimuthDegrees from the centre, clockwise from north
 * @param distanceMetres from the centre
 * @param diameterMillimetres at breast height
 * @param habitat codes of the tree's own ground; null: as its plot
 * @param group id of the confusable group; exactly one of this and the next is there
 * @param taxon scientific name of a taxon that nobody doubts
 * @param cloneOf tag of the stem that bears its call
 * @param vigour how it does
 */
public record SurveyRecord(
        String plot,
        Double latitude,
        Double longitude,
        Double radiusMetres,
        Double altitudeMetres,
        List<String> plotHabitat,
        String plotNotes,
        Integer tag,
        Double azimuthDegrees,
        Double distanceMetres,
        Integer diameterMillimetres,
        Integer heightDecimetres,
        String stage,
        String origin,
        List<String> habitat,
        String condition,
        String group,
        String taxon,
        Integer cloneOf,
        NotedVigour vigour) {}
