package org.goldthistle.core.drawn;

import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.sheet.Replication;

/**
 * The reading of one character as a tree of a given taxon would show it: section 10. The tree draws one outcome, and each
 * replicate shows that one with the chance √likeness, else one of its own, so that any two correlate by likeness.
 */
public final class DrawnLook {
    private final double[][] cumulative; // by taxon and outcome
    private final int replicates;
    private final double copied; // the chance that a replicate just shows what the whole tree shows

    /**
     * @param outcomes of the character
     * @param taxa how many of them there are
     * @param replication how many looks make a reading, and how alike they are
     */
    public DrawnLook(Outcomes outcomes, int taxa, Replication replication) {
        replicates = replication.replicates();
        copied = Math.sqrt(replication.likeness());
        cumulative = new double[taxa][outcomes.count()];
        for (int k = 0; k < taxa; k++) {
            double total = 0;
            for (int x = 0; x < outcomes.count(); x++) {
                total += outcomes.mass(x, k);
                cumulative[k][x] = total;
            }
        }
    }

    /** How many replicates are drawn at once. */
    public int replicates() {
        return replicates;
    }

    /** Draws the outcomes of all replicates of a tree into an array of that length. */
    public void draw(int taxon, TreeStream stream, int[] seen) {
        int ofTree = draw(taxon, stream);
        for (int n = 0; n < replicates; n++) {
            seen[n] = stream.next() < copied ? ofTree : draw(taxon, stream);
        }
    }

    private int draw(int taxon, TreeStream stream) {
        double point = stream.next();
        double[] up = cumulative[taxon];
        int low = 0;
        int high = up.length - 1;
        while (low < high) { // the first outcome whose cumulative mass is above the point, else the last
            int middle = (low + high) >>> 1;
            if (point < up[middle]) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low;
    }
}
