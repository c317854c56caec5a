package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.LifeStage;

/**
 * How well a sheet's taxa can be told apart, month by month, by somebody who reads all that can be read and knows
 * nothing else: section 10. Every taxon is drawn alike often.
 *
 * @param months from January to December
 */
public record Separability(List<Month> months) {
    /** Trees drawn of each taxon a month. */
    public static final int TREES = 400;

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
     * Plays {@link #TREES} trees of each taxon through each month.
     *
     * @param stage of the trees
     * @param terms p*, school and harm; what could not be seen is no concern here
     * @throws RefusedException if that would need more than 200 million drawn readings
     */
    public static Separability of(GroupModel model, LifeStage stage, PlanTerms terms, long seed) {
        requirePlayable(model);
        List<Month> months = new ArrayList<>();
        for (int month = 1; month <= 12; month++) {
            Context context = new Context(
                    month, stage, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
            Balance nothingRead = Weighing.of(model, Evidence.of(model.sheet(), context, List.of()), terms.school())
                    .featuresAlone();
            months.add(new Month(
                    month,
                    fates(
                            new VisitSimulation(nothingRead, context, terms, Set.of()),
                            model.taxonCount(),
                            month,
                            seed)));
        }
        return new Separability(months);
    }

    private static List<Fate> fates(VisitSimulation visit, int taxa, int month, long seed) {
        List<Fate> fates = new ArrayList<>();
        for (int truth = 0; truth < taxa; truth++) {
            int[] named = new int[taxa];
            int unsettled = 0;
            for (int tree = 0; tree < TREES; tree++) {
                int name = visit.namedAfter(truth, new TreeStream(seed, month, truth * TREES + tree));
                if (name == VisitSimulation.NOBODY) {
                    unsettled++;
                } else {
                    named[name]++;
                }
            }
            List<Double> shares = new ArrayList<>();
            for (int name : named) {
                shares.add((double) name / TREES);
            }
            fates.add(new Fate(shares, (double) unsettled / TREES));
        }
        return fates;
    }

    /** So that no sheet, however large, keeps anybody waiting for hours. */
    private static void requirePlayable(GroupModel model) {
        double draws = 12.0 * TREES * model.taxonCount();
        double readings = 0;
        for (DiagnosticCharacter character : model.sheet().characters()) {
            readings += character.replication().replicates();
        }
        if (draws * readings > ModelConstants.MOST_DRAWN_READINGS) {
            throw RefusedException.of(
                    "replicates",
                    "a year that would need " + Math.round(draws * readings / 1e6) + " million drawn readings",
                    "at most 200 million: fewer taxa, characters or replicates");
        }
    }

    /** One standard error of a share of the trees of one taxon. */
    public static double standardError(double share) {
        return Math.sqrt(share * (1 - share) / TREES);
    }

    /** The largest standard error of all shares that are rightly or wrongly named. */
    public double largestError() {
        double largest = 0;
        for (Month month : months) {
            for (int k = 0; k < month.taxa().size(); k++) {
                Fate fate = month.taxa().get(k);
                largest = Math.max(largest, standardError(fate.chanceToSettle(k)));
                largest = Math.max(largest, standardError(fate.chanceToMislead(k)));
            }
        }
        return largest;
    }
}
