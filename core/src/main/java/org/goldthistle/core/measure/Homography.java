package org.goldthistle.core.measure;

import java.util.List;
import org.goldthistle.core.RefusedException;

/**
 * How one plane is seen on another, from four points of each: the direct linear transform with its coordinates
 * normalised (R. Hartley, "In defense of the eight-point algorithm", IEEE PAMI 19, 1997), eight equations for eight
 * unknowns, solved by elimination with partial pivoting.
 */
final class Homography {
    private static final int UNKNOWN = 8;
    private static final double NOTHING = 1e-12;

    private final double[] h; // row by row, the last 1

    private Homography(double[] h) {
        this.h = h;
    }

    /**
     * The one that carries four points to four others.
     *
     * @throws RefusedException if three of a four lie on one line
     */
    static Homography of(List<Point> from, List<Point> to) {
        Normal source = Normal.of(from);
        Normal target = Normal.of(to);
        double[][] rows = new double[UNKNOWN][UNKNOWN + 1];
        for (int i = 0; i < from.size(); i++) {
            Point a = source.in(from.get(i));
            Point b = target.in(to.get(i));
            rows[2 * i] = new double[] {a.x(), a.y(), 1, 0, 0, 0, -a.x() * b.x(), -a.y() * b.x(), b.x()};
            rows[2 * i + 1] = new double[] {0, 0, 0, a.x(), a.y(), 1, -a.x() * b.y(), -a.y() * b.y(), b.y()};
        }
        double[] solved = solve(rows);
        double[] h = new double[UNKNOWN + 1];
        System.arraycopy(solved, 0, h, 0, UNKNOWN);
        h[UNKNOWN] = 1;
        return new Homography(product(target.back(), product(h, source.there())));
    }

    Point at(Point p) {
        double w = h[6] * p.x() + h[7] * p.y() + h[8];
        return new Point((h[0] * p.x() + h[1] * p.y() + h[2]) / w, (h[3] * p.x() + h[4] * p.y() + h[5]) / w);
    }

    private static double[] solve(double[][] rows) {
        for (int column = 0; column < UNKNOWN; column++) {
            int pivot = column;
            for (int row = column + 1; row < UNKNOWN; row++) {
                if (Math.abs(rows[row][column]) > Math.abs(rows[pivot][column])) {
                    pivot = row;
                }
            }
            double[] best = rows[pivot];
            rows[pivot] = rows[column];
            rows[column] = best;
            if (!(Math.abs(best[column]) > NOTHING)) {
                throw RefusedException.of("crosses", "three on one line", "the four crosses of the card");
            }
            for (int row = column + 1; row < UNKNOWN; row++) {
                double share = rows[row][column] / best[column];
                for (int k = column; k <= UNKNOWN; k++) {
                    rows[row][k] -= share * best[k];
                }
            }
        }
        double[] x = new double[UNKNOWN];
        for (int row = UNKNOWN - 1; row >= 0; row--) {
            double left = rows[row][UNKNOWN];
            for (int k = row + 1; k < UNKNOWN; k++) {
                left -= rows[row][k] * x[k];
            }
            x[row] = left / rows[row][row];
        }
        return x;
    }

    private static double[] product(double[] a, double[] b) {
        double[] p = new double[9];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                for (int k = 0; k < 3; k++) {
                    p[3 * row + column] += a[3 * row + k] * b[3 * k + column];
                }
            }
        }
        return p;
    }

    /** Moves points so that their middle is 0,0 and their mean distance from it √2. */
    private record Normal(double x, double y, double scale) {
        static Normal of(List<Point> points) {
            double x = points.stream().mapToDouble(Point::x).average().orElseThrow();
            double y = points.stream().mapToDouble(Point::y).average().orElseThrow();
            double mean = points.stream()
                    .mapToDouble(p -> p.to(new Point(x, y)))
                    .average()
                    .orElseThrow();
            return new Normal(x, y, mean > 0 ? Math.sqrt(2) / mean : 1);
        }

        Point in(Point p) {
            return new Point((p.x() - x) * scale, (p.y() - y) * scale);
        }

        double[] there() {
            return new double[] {scale, 0, -x * scale, 0, scale, -y * scale, 0, 0, 1};
        }

        double[] back() {
            return new double[] {1 / scale, 0, x, 0, 1 / scale, y, 0, 0, 1};
        }
    }
}
