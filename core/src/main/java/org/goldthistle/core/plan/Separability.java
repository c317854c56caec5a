package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.LifeStage;

/**
 * How well a sheet's taxa can be told apart, month by month, by somebody who reads all that can be read and knows
 * nothing else: section 10. Every taxon is drawn alike often.
 *
 * @param months from January to December
 */
public record Separability(List<Month> months) {

    /** Copies the list. */
    public Separability {
        months = List.copyOf(months);
    }

    /**
     * One month. Both lists run over the taxa in the sheet's order.
     *
     * @param month 1-12
     * @param taxa what becomes of trees of each taxon
     */
    public record Month(int month, List<Fate> taxa) {
        /** Copies the list. */
        public Month {
            taxa = List.copyOf(taxa);
        }
    }

    /**
     * What becomes of the trees of one taxon: a row of the confusion matrix.
     *
     * @param named share of them that end as each taxon, in the sheet's order
     * @param unsettled share that reach p* for none
     */
    public record Fate(List<Double> named, double unsettled) {
        /** Copies the list. */
        public Fate {
            named = List.copyOf(named);
        }

        /** The chance that a tree of this taxon is rightly named. */
        public double chanceToSettle(int ownTaxon) {
            return named.get(ownTaxon);
        }

        /** The chance that it is named wrongly. */
        public double chanceToMislead(int ownTaxon) {
            double wrong = 0;
            for (int k = 0; k < named.size(); k++) {
                wrong += k == ownTaxon ? 0 : named.get(k);
            }
            return wrong;
        }
    }

    /**
     * Plays {@link SeasonOutlook#TREES} trees through each month.
     *
     * @param stage of the trees
     * @param terms p*, school and harm; what could not be seen is no concern here
     */
    public static Separability of(GroupModel model, LifeStage stage, PlanTerms terms, long seed) {
        List<Month> months = new ArrayList<>();
        for (int month = 1; month <= 12; month++) {
            Context context = new Context(
                    month, stage, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
            Balance nothingRead = Weighing.of(model, Evidence.of(model.sheet(), context, List.of()), terms.school())
                    .featuresAlone();
            months.add(new Month(
                    month,
                    fates(new VisitSimulation(nothingRead, context, terms, Set.of()), nothingRead, month, seed)));
        }
        return new Separability(months);
    }

    private static List<Fate> fates(VisitSimulation visit, Balance nothingRead, int month, long seed) {
        double[] among = nothingRead.amongTaxa();
        int[][] named = new int[among.length][among.length];
        int[] trees = new int[among.length];
        for (int tree = 0; tree < SeasonOutlook.TREES; tree++) {
            TreeStream stream = new TreeStream(seed, month, tree);
            int truth = SeasonOutlook.drawTaxon(among, (tree + stream.next()) / SeasonOutlook.TREES);
            int name = visit.namedAfter(truth, stream);
            trees[truth]++;
            if (name != VisitSimulation.NOBODY) {
                named[truth][name]++;
            }
        }
        List<Fate> fates = new ArrayList<>();
        for (int truth = 0; truth < trees.length; truth++) {
            List<Double> shares = new ArrayList<>();
            int settled = 0;
            for (int name : named[truth]) {
                shares.add((double) name / trees[truth]);
                settled += name;
            }
            fates.add(new Fate(shares, (double) (trees[truth] - settled) / trees[truth]));
        }
        return fates;
    }
}
