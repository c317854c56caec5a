package org.goldthistle.core.laboratory;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.sheet.GroupSheet;

/**
 * A laboratory's result as evidence: section 16. It is no oracle. With ε the analysis' published error rate and F the places
 * that the finding fits of K taxa and none-of-these, the likelihood is {@code 1 − ε} in F and {@code ε/(K + 1 − |F|)} outside.
 *
 * @param analysis what was done; repeated, it counts once
 * @param error ε, in (0, 0.5)
 */
public record LaboratoryEvidence(Analysis analysis, Finding finding, double error) {
    private static final double CERTAIN = 0.99;
    private static final double LARGEST_ERROR = 0.5;

    /** @throws org.goldthistle.core.RefusedException if the error rate is none */
    public LaboratoryEvidence {
        var refusals = new Refusals();
        refusals.require(error > 0 && error < LARGEST_ERROR, "error", error, "an error rate above 0 and below 0.5");
        refusals.throwIfAny();
    }

    /** ln of the likelihood by taxon, none-of-these last. */
    public double[] logLikelihood(GroupSheet sheet) {
        int all = sheet.taxa().size() + 1;
        Set<Integer> fitting = finding.fits(sheet);
        if (fitting.isEmpty()) {
            fitting = Set.of(all - 1); // no taxon of the sheet, so something else
        }
        double[] logs = new double[all];
        if (fitting.size() == all) {
            return logs; // it tells nothing
        }
        for (int k = 0; k < all; k++) {
            logs[k] = Math.log(fitting.contains(k) ? 1 - error : error / (all - fitting.size()));
        }
        return logs;
    }

    /**
     * All results of a tree together: those of one analysis are as alike as can be, so that they count as their mean; the
     * analyses add up.
     */
    public static double[] together(GroupSheet sheet, List<LaboratoryEvidence> results) {
        Map<Analysis, Integer> times = new EnumMap<>(Analysis.class);
        results.forEach(one -> times.merge(one.analysis(), 1, Integer::sum));
        double[] sum = new double[sheet.taxa().size() + 1];
        for (LaboratoryEvidence one : results) {
            double[] logs = one.logLikelihood(sheet);
            for (int k = 0; k < sum.length; k++) {
                sum[k] += logs[k] / times.get(one.analysis());
            }
        }
        return sum;
    }

    /**
     * The taxon that the result makes certain by itself: it fits that one alone, and is right 99 times in 100 or more. What was
     * read of the tree plays no part, so that trees on which both agree are not the only ones to be learnt from.
     */
    public OptionalInt verifies(GroupSheet sheet) {
        Set<Integer> fitting = finding.fits(sheet);
        boolean one = fitting.size() == 1 && !fitting.contains(sheet.taxa().size());
        return one && 1 - error >= CERTAIN ? OptionalInt.of(fitting.iterator().next()) : OptionalInt.empty();
    }
}
