package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Context;

/**
 * In which month a tree can be settled: section 10. For each month trees are drawn as the readings so far leave them
 * likely, then everything that could still be read in that month; what share ends settled, and rightly so?
 *
 * @param months from January to December
 */
public record SeasonOutlook(List<Month> months) {
    /** Trees drawn a month. */
    public static final int TREES = 400;

    /** Copies the list. */
    public SeasonOutlook {
        months = List.copyOf(months);
    }

    /**
     * One month.
     *
     * @param month 1-12
     * @param chanceToSettle share of trees that end with their true taxon at p* or more
     * @param chanceToMislead share that end with a wrong one at p* or more
     */
    public record Month(int month, double chanceToSettle, double chanceToMislead) {}

    /**
     * @param deciding the balance that the readings so far come to
     * @param seed the same seed draws the same trees
     */
    public static SeasonOutlook of(Balance deciding, Context context, PlanTerms terms, long seed) {
        double[] among = deciding.amongTaxa();
        Set<String> read = NextChecks.read(deciding);
        List<Month> months = new ArrayList<>();
        for (int month = 1; month <= 12; month++) {
            VisitSimulation visit = new VisitSimulation(deciding, context.inMonth(month), terms, read);
            int settled = 0;
            int misled = 0;
            for (int tree = 0; tree < TREES; tree++) {
                TreeStream stream = new TreeStream(seed, month, tree);
                int truth = drawTaxon(among, (tree + stream.next()) / TREES);
                int named = visit.namedAfter(truth, stream);
                settled += named == truth ? 1 : 0;
                misled += named != truth && named != VisitSimulation.NOBODY ? 1 : 0;
            }
            months.add(new Month(month, (double) settled / TREES, (double) misled / TREES));
        }
        return new SeasonOutlook(months);
    }

    /** The first month from the next one on, round to this month of next year, with at least such a chance to settle. */
    public Optional<Month> firstAfter(int thisMonth, double chance) {
        for (int ahead = 1; ahead <= 12; ahead++) {
            Month month = months.get((thisMonth - 1 + ahead) % 12);
            if (month.chanceToSettle() >= chance) {
                return Optional.of(month);
            }
        }
        return Optional.empty();
    }

    /**
     * The taxon at a point of the cumulative belief. Trees take evenly spread points, each moved at random within its
     * own part: a draw with less noise than independent points.
     */
    static int drawTaxon(double[] among, double point) {
        double cumulative = 0;
        for (int k = 0; k < among.length - 1; k++) {
            cumulative += among[k];
            if (point < cumulative) {
                return k;
            }
        }
        return among.length - 1;
    }
}
