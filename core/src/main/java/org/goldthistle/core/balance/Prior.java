package org.goldthistle.core.balance;

import static org.goldthistle.core.balance.ModelConstants.LEAST_PRIOR;
import static org.goldthistle.core.balance.ModelConstants.NONE_OF_THESE_ELSEWHERE;
import static org.goldthistle.core.balance.ModelConstants.NONE_OF_THESE_WILD;
import static org.goldthistle.core.balance.ModelConstants.SHEET_TREES;

import java.util.Arrays;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Taxon;

/**
 * What to believe before looking at the tree: section 2 of {@code docs/model.md}. Each result runs over the taxa
 * in the sheet's order with none-of-these last, and adds up to 1.
 */
final class Prior {
    private Prior() {}

    /** Every taxon alike: the tree's own features must decide. */
    static double[] flat(GroupSheet sheet, Context context) {
        int taxa = sheet.taxa().size();
        double outside = noneOfThese(context.origin());
        double[] prior = new double[taxa + 1];
        Arrays.fill(prior, (1 - outside) / taxa);
        prior[taxa] = outside;
        return prior;
    }

    /**
     * The sheet's abundance at this origin and on this ground, drawn towards the district's verified trees:
     * {@code v_k = max(0.001, b_k·S/(S+N) + n_k/(S+N))}.
     */
    static double[] ofSurroundings(GroupSheet sheet, Context context) {
        int taxa = sheet.taxa().size();
        double[] believed = new double[taxa + 1];
        double expected = 0;
        double recorded = 0;
        for (int k = 0; k < taxa; k++) {
            Taxon taxon = sheet.taxa().get(k);
            believed[k] = abundance(taxon, context.origin()) * groundFactor(taxon, context);
            expected += believed[k];
            recorded += records(context, taxon);
        }
        double total = 0;
        for (int k = 0; k < taxa; k++) {
            // where the ground rules out every taxon it tells nothing, and all start alike
            double bySheet = expected > 0 ? believed[k] / expected : 1.0 / taxa;
            double mixed =
                    (bySheet * SHEET_TREES + records(context, sheet.taxa().get(k))) / (SHEET_TREES + recorded);
            believed[k] = Math.max(LEAST_PRIOR, mixed);
            total += believed[k];
        }
        double outside = noneOfThese(context.origin());
        for (int k = 0; k < taxa; k++) {
            believed[k] *= (1 - outside) / total;
        }
        believed[taxa] = outside;
        return believed;
    }

    /** a_k of section 2, as a share. */
    private static double abundance(Taxon taxon, TreeOrigin origin) {
        double percent = switch (origin) {
            case WILD -> taxon.abundance();
            case PLANTED -> taxon.plantedAbundance();
            case UNKNOWN -> (taxon.abundance() + taxon.plantedAbundance()) / 2;
        };
        return percent / 100;
    }

    /** h_k of section 2: in full where the tree is wild, not at all where it was planted. */
    private static double groundFactor(Taxon taxon, Context context) {
        if (context.origin() == TreeOrigin.PLANTED) {
            return 1;
        }
        double factor = 1;
        for (Habitat key : context.habitat()) {
            factor *= taxon.habitat().getOrDefault(key, 1.0);
        }
        return context.origin() == TreeOrigin.UNKNOWN ? Math.sqrt(factor) : factor;
    }

    private static double noneOfThese(TreeOrigin origin) {
        return origin == TreeOrigin.WILD ? NONE_OF_THESE_WILD : NONE_OF_THESE_ELSEWHERE;
    }

    private static int records(Context context, Taxon taxon) {
        return context.records().getOrDefault(taxon.id(), 0);
    }
}
