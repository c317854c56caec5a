package org.goldthistle.exchange;

import java.util.OptionalInt;

/** The diameters of a file, counted by the millimetre, to tell whether they can be in the unit that they are read in. */
final class Diameters {
    /** A plot's trees lie far within these; a median beyond them is one of another unit. */
    private static final int THINNEST_MEDIAN = 10; // mm

    private static final int THICKEST_MEDIAN = 1000; // mm

    private final int[] trees = new int[50_001]; // thicker ones are counted with the last
    private int all;

    void add(int millimetres) {
        trees[Math.max(0, Math.min(trees.length - 1, millimetres))]++;
        all++;
    }

    /** Whether a median, in millimetres, is on the thick side. */
    static boolean isThick(int median) {
        return median > THICKEST_MEDIAN;
    }

    /** The median in millimetres where it is too far off to be true; empty: it can be. */
    OptionalInt oddMedian() {
        int before = 0;
        for (int median = 0; median < trees.length; median++) {
            before += trees[median];
            if (all > 0 && 2 * before >= all) {
                boolean isOdd = median < THINNEST_MEDIAN || isThick(median);
                return isOdd ? OptionalInt.of(median) : OptionalInt.empty();
            }
        }
        return OptionalInt.empty();
    }
}
