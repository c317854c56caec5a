package org.goldthistle.core.agreement;

import java.util.Optional;

/**
 * How often two observers called the same trees what: a square table of counts, one observer's answers by row, the
 * other's by column.
 */
public final class Confusion {
    private static final double NO_WIDTH = 1e-9;
    private static final double NORMAL_975 = 1.959964; // 95 % of a normal distribution lies within so many deviations

    private final long[][] counts;
    private final long total;

    private Confusion(long[][] counts, long total) {
        this.counts = counts;
        this.total = total;
    }

    /**
     * @param counts at least 0, by answer of the first observer and answer of the second
     * @throws IllegalArgumentException if the table is not square or a count is negative
     */
    public static Confusion of(long[][] counts) {
        long[][] copy = new long[counts.length][];
        long total = 0;
        for (int i = 0; i < counts.length; i++) {
            if (counts[i].length != counts.length) {
                throw new IllegalArgumentException("a confusion table is square");
            }
            copy[i] = counts[i].clone();
            for (long count : copy[i]) {
                if (count < 0) {
                    throw new IllegalArgumentException("found " + count + ", expected a count of 0 or more");
                }
                total += count;
            }
        }
        return new Confusion(copy, total);
    }

    /** How many trees both called. */
    public long total() {
        return total;
    }

    /** How many trees the first observer called one thing and the second another. */
    public long count(int first, int second) {
        return counts[first][second];
    }

    /** The share of trees that both called the same, in [0, 1]; empty: there are none. */
    public Optional<Double> agreement() {
        return total == 0 ? Optional.empty() : Optional.of(observed());
    }

    /**
     * Cohen's kappa, {@code (p_o − p_e)/(1 − p_e)}, with its 95 % interval by the standard error of Fleiss, Cohen and
     * Everitt.
     *
     * @return empty where it is 0/0: no trees, or both always gave one answer
     * @see "Cohen 1960, Educ. Psychol. Meas. 20; Fleiss, Cohen & Everitt 1969, Psychol. Bull. 72"
     */
    public Optional<Kappa> kappa() {
        if (total == 0) {
            return Optional.empty();
        }
        double expected = 0;
        for (int i = 0; i < counts.length; i++) {
            expected += row(i) * column(i);
        }
        if (1 - expected < 1e-12) {
            return Optional.empty();
        }
        double kappa = (observed() - expected) / (1 - expected);
        double error = standardError(kappa, expected);
        return Optional.of(new Kappa(
                kappa, error, Math.max(-1, kappa - NORMAL_975 * error), Math.min(1, kappa + NORMAL_975 * error)));
    }

    private double standardError(double kappa, double expected) {
        double same = 0;
        double other = 0;
        for (int i = 0; i < counts.length; i++) {
            for (int j = 0; j < counts.length; j++) {
                if (i == j) {
                    double term = 1 - (row(i) + column(i)) * (1 - kappa);
                    same += share(i, i) * term * term;
                } else {
                    double term = column(i) + row(j);
                    other += share(i, j) * term * term;
                }
            }
        }
        double last = kappa - expected * (1 - kappa);
        double variance = same + (1 - kappa) * (1 - kappa) * other - last * last;
        return Math.sqrt(Math.max(0, variance) / total) / (1 - expected); // rounding may fall a hair below 0
    }

    private double observed() {
        double sum = 0;
        for (int i = 0; i < counts.length; i++) {
            sum += share(i, i);
        }
        return sum;
    }

    private double share(int i, int j) {
        return (double) counts[i][j] / total;
    }

    private double row(int i) {
        double sum = 0;
        for (int j = 0; j < counts.length; j++) {
            sum += share(i, j);
        }
        return sum;
    }

    private double column(int j) {
        double sum = 0;
        for (int i = 0; i < counts.length; i++) {
            sum += share(i, j);
        }
        return sum;
    }

    /**
     * Agreement beyond chance.
     *
     * @param value from -1 to 1
     * @param standardError of the value
     * @param low end of the 95 % interval
     * @param high end of the 95 % interval
     */
    public record Kappa(double value, double standardError, double low, double high) {

        /** Whether the interval says anything: of a few trees that all agree it is a point, though nobody is that sure. */
        public boolean hasInterval() {
            return high - low > NO_WIDTH;
        }
    }
}
