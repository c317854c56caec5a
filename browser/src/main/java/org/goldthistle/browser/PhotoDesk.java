package org.goldthistle.browser;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.measure.Estimate;
import org.goldthistle.core.measure.Guide;
import org.goldthistle.core.measure.PhotoScale;
import org.goldthistle.core.measure.PhotoValue;
import org.goldthistle.core.measure.Point;
import org.goldthistle.core.sheet.Measured;

/** Reckons what is tapped on a photo; plain values out. */
final class PhotoDesk {
    private PhotoDesk() {}

    /** What comes of the taps, as {@link CallDesk#onPhoto} says. */
    static Map<String, Object> told(Measured measured, double narrowestSpread, OnPhoto photo) {
        Map<String, Object> told = new LinkedHashMap<>();
        PhotoScale scale;
        try {
            scale = new PhotoScale(places(photo.scale()), photo.millimetres());
            photo.held(scale).ifPresent(bar -> told.put("bar", bar));
        } catch (RefusedException refused) {
            told.put("scaleRefused", refused.getMessage());
            return told;
        }
        try {
            List<List<Point>> taps =
                    photo.taps().stream().map(PhotoDesk::places).toList();
            Guide.across(measured, taps, scale)
                    .ifPresent(line -> told.put(
                            "guide",
                            line.stream()
                                    .map(point -> Plain.write(new At(point.x(), point.y())))
                                    .toList()));
            Estimate estimate = new PhotoValue(measured, taps, scale).estimate(photo.zooms());
            told.put("value", estimate.value());
            told.put("error", estimate.error());
            told.put("coarse", estimate.isCoarse(narrowestSpread));
        } catch (RefusedException refused) {
            told.put("refused", refused.getMessage());
        }
        return told;
    }

    /**
     * Taps on a photo, in its pixels.
     *
     * @param taps of each part
     * @param scale what tells how large things are
     * @param millimetres between the two taps of a ruler; 0: it is none
     * @param check the ends of the card's bar, or of a second stretch across the first, by which the scale is checked;
     *     null: it is not
     * @param checkMillimetres between them on the ruler; null: not said
     */
    record OnPhoto(
            List<List<Tapped>> taps, List<Tapped> scale, double millimetres, List<At> check, Double checkMillimetres) {
        private static final int ENDS = 2;

        /** How near each was tapped, as {@link PhotoValue#estimate(List)} asks. */
        List<Double> zooms() {
            List<Double> zooms = new ArrayList<>();
            taps.forEach(part -> part.forEach(tap -> zooms.add(tap.zoom())));
            scale.forEach(tap -> zooms.add(tap.zoom()));
            return zooms;
        }

        /** Holds the scale against what it is checked by, if anything is; how long the bar comes out, in mm. */
        OptionalDouble held(PhotoScale scale) {
            if (check == null || check.size() < ENDS) {
                return OptionalDouble.empty();
            }
            List<Point> ends = points(check);
            if (millimetres > 0) {
                if (checkMillimetres != null && checkMillimetres > 0) {
                    scale.checkAcross(PhotoScale.ruler(ends.get(0), ends.get(1), checkMillimetres));
                }
                return OptionalDouble.empty();
            }
            return OptionalDouble.of(scale.checkBar(ends.get(0), ends.get(1)));
        }
    }

    /** A place on a photo, in its pixels. */
    record At(double x, double y) {}

    /**
     * A place on a photo that was tapped.
     *
     * @param zoom pixels of the screen for one of the photo when it was
     */
    record Tapped(double x, double y, double zoom) {}

    private static List<Point> places(List<Tapped> taps) {
        return taps.stream().map(tap -> new Point(tap.x(), tap.y())).toList();
    }

    private static List<Point> points(List<At> places) {
        return places.stream().map(at -> new Point(at.x(), at.y())).toList();
    }
}
