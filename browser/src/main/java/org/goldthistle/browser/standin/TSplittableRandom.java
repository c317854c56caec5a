package org.goldthistle.browser.standin;

/**
 * The same numbers as the platform's class gives for a seed: a Weyl sequence, each step mixed by two multiplications
 * (Steele, Lea and Flood 2014, Fast splittable pseudorandom number generators).
 */
public final class TSplittableRandom {
    private static final long STEP = 0x9e3779b97f4a7c15L;
    private static final long FIRST_FACTOR = 0xbf58476d1ce4e5b9L;
    private static final long SECOND_FACTOR = 0x94d049bb133111ebL;
    private static final int DOUBLE_SHIFT = 11; // a double has 53 digits
    private static final double DOUBLE_UNIT = 0x1.0p-53;

    private long seed;

    public TSplittableRandom(long seed) {
        this.seed = seed;
    }

    /** The next one, in [0, 1). */
    public double nextDouble() {
        seed += STEP;
        long mixed = (seed ^ (seed >>> 30)) * FIRST_FACTOR;
        mixed = (mixed ^ (mixed >>> 27)) * SECOND_FACTOR;
        return ((mixed ^ (mixed >>> 31)) >>> DOUBLE_SHIFT) * DOUBLE_UNIT;
    }
}
