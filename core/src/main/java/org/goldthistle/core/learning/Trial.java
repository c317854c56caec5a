package org.goldthistle.core.learning;

/**
 * A proposal tried on trees that it was not made from.
 *
 * @param before mean log loss of the trees without it, in nats
 * @param after the same with it
 * @param standardError of the mean of the trees' differences
 */
public record Trial(double before, double after, double standardError) {

    static Trial of(double[] before, double[] after) {
        int n = before.length;
        double sumBefore = 0;
        double sumAfter = 0;
        for (int t = 0; t < n; t++) {
            sumBefore += before[t];
            sumAfter += after[t];
        }
        double mean = (sumAfter - sumBefore) / n;
        double squares = 0;
        for (int t = 0; t < n; t++) {
            squares += Math.pow(after[t] - before[t] - mean, 2);
        }
        return new Trial(sumBefore / n, sumAfter / n, Math.sqrt(squares / (n - 1) / n));
    }

    /** By how much log loss falls; below 0 it rises. */
    public double gain() {
        return before - after;
    }

    /** Whether it falls by more than one standard error. */
    public Ruling ruling() {
        return gain() > standardError ? Ruling.ACCEPT : Ruling.NO_GAIN;
    }
}
