package org.goldthistle.core.drawn;

import java.util.SplittableRandom;

/** The random numbers of one simulated tree in one month: the same seed gives the same tree, whatever else is drawn. */
public final class TreeStream {
    private static final long GOLDEN_GAMMA = 0x9E3779B97F4A7C15L;

    private final SplittableRandom random; // drawn from millions of times, by one thread

    /**
     * @param seed of all trees
     * @param month 1-12; 0: of none
     * @param tree its number
     */
    public TreeStream(long seed, int month, int tree) {
        // neighbouring seeds give streams that resemble each other, so they are scattered first
        random = new SplittableRandom(scattered(scattered(scattered(seed) + month) + tree));
    }

    /** The next number in [0, 1). */
    public double next() {
        return random.nextDouble();
    }

    /** The finaliser of MurmurHash3, 64 bits: every bit of the result depends on every bit of the argument. */
    private static long scattered(long value) {
        long z = value + GOLDEN_GAMMA;
        z = (z ^ z >>> 33) * 0xFF51AFD7ED558CCDL;
        z = (z ^ z >>> 33) * 0xC4CEB9FE1A85EC53L;
        return z ^ z >>> 33;
    }
}
