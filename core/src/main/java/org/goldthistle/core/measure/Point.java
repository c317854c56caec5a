package org.goldthistle.core.measure;

/**
 * A place on a picture, in pixels, or on the plane that it shows, in millimetres or in a unit of its own.
 *
 * @param x to the right
 * @param y downwards
 */
public record Point(double x, double y) {
    /** How far from another, in their unit. */
    public double to(Point other) {
        return Math.hypot(other.x - x, other.y - y);
    }

    Point plus(double dx, double dy) {
        return new Point(x + dx, y + dy);
    }

    Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    double dot(Point other) {
        return x * other.x + y * other.y;
    }

    /** Twice the area that two arms from one corner span, above 0 where the second lies clockwise of the first. */
    double cross(Point other) {
        return x * other.y - y * other.x;
    }

    boolean isFinite() {
        return Double.isFinite(x) && Double.isFinite(y);
    }
}
