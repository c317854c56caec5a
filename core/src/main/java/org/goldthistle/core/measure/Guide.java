package org.goldthistle.core.measure;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.goldthistle.core.sheet.Measured;

/** Lines that are drawn on a photo so that nobody looks for a place with a thumb. */
public final class Guide {
    private Guide() {}

    /**
     * The line across an axis on which a width is taken, as it lies on the photo: as long as the axis, its middle on it.
     *
     * @param taps so far, part by part
     * @return its two ends; empty: no such line is asked for, or the axis is not tapped yet
     */
    public static Optional<List<Point>> across(Measured measured, List<List<Point>> taps, PhotoScale scale) {
        if (!(measured instanceof Measured.WidthAt width)
                || taps.size() < 2
                || taps.get(0).isEmpty()
                || taps.get(1).isEmpty()) {
            return Optional.empty();
        }
        UnaryOperator<Point> plane = scale.plane();
        UnaryOperator<Point> photo = scale.photo();
        Point from = plane.apply(taps.get(0).get(0));
        Point axis = plane.apply(taps.get(1).get(0)).minus(from);
        Point middle = from.plus(width.at() * axis.x(), width.at() * axis.y());
        return Optional.of(List.of(
                photo.apply(middle.plus(-axis.y() / 2, axis.x() / 2)),
                photo.apply(middle.plus(axis.y() / 2, -axis.x() / 2))));
    }
}
