package org.goldthistle.core.stranger;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.drawn.DrawnTrees;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;

/**
 * A sheet's own measured risk of naming what it does not know: trees of each of its taxa, read on the sheet without that
 * taxon. All that such a tree bears is read, each character in its own months.
 *
 * @param strangers in the order of the sheet's taxa
 */
public record IfSomethingElse(List<Stranger> strangers) {
    /** Trees drawn of each taxon. */
    public static final int TREES = 400;

    /** Copies the list. */
    public IfSomethingElse {
        strangers = List.copyOf(strangers);
    }

    /**
     * What becomes of trees of one taxon where the sheet lacks it.
     *
     * @param taxon that is lacking
     * @param tally how often it is named at the tally; empty: fewer than two taxa would be left
     * @param record the same on record
     */
    public record Stranger(Taxon taxon, Optional<Misnamed> tally, Optional<Misnamed> record) {}

    /**
     * How often a stranger gets a name.
     *
     * @param signable share of the trees that may be signed, under whatever name is wrong
     * @param flagged share of the trees that may be signed and are contested for some reason
     * @param mostly the name that most of them get; empty: none gets one
     */
    public record Misnamed(double signable, double flagged, Optional<Taxon> mostly) {

        /** Of those that may be signed the share that is contested; empty: none may. */
        public Optional<Double> flaggedOfSignable() {
            return signable > 0 ? Optional.of(flagged / signable) : Optional.empty();
        }

        /** Share of the trees that may be signed without anything that speaks against it. */
        public double unnoticed() {
            return signable - flagged;
        }
    }

    /**
     * Draws {@link #TREES} trees of each taxon.
     *
     * @param stage of the trees
     * @param school whose weights count; empty: the sheet's own
     * @param worst the greatest harm that is done to them
     * @param seed the same seed draws the same trees
     * @throws RefusedException if that would need more than 200 million drawn readings
     */
    public static IfSomethingElse of(
            GroupModel model, LifeStage stage, Optional<School> school, Harm worst, long seed) {
        var trees = new DrawnTrees(model, stage, worst);
        requirePlayable(trees);
        List<Stranger> strangers = new ArrayList<>();
        for (int k = 0; k < model.taxonCount(); k++) {
            Taxon taxon = model.sheet().taxa().get(k);
            Optional<GroupSheet> without = SheetWithout.of(model.sheet(), taxon.id());
            if (without.isEmpty()) {
                strangers.add(new Stranger(taxon, Optional.empty(), Optional.empty()));
            } else {
                var context = new Context(
                        1, stage, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
                strangers.add(new Reader(GroupModel.of(without.get()), context, school).reads(trees, k, seed));
            }
        }
        return new IfSomethingElse(strangers);
    }

    private static void requirePlayable(DrawnTrees trees) {
        double readings = (double) TREES * trees.model().taxonCount() * trees.looksAtOneTree();
        if (readings > ModelConstants.MOST_DRAWN_READINGS) {
            throw RefusedException.of(
                    "replicates",
                    "trees that would need " + Math.round(readings / 1e6) + " million drawn readings",
                    "at most 200 million: fewer taxa, characters or replicates");
        }
    }

    /** Somebody with a sheet that lacks a taxon. */
    private record Reader(GroupModel model, Context context, Optional<School> school) {

        Stranger reads(DrawnTrees trees, int taxon, long seed) {
            var tally = new Count(model.taxonCount());
            var record = new Count(model.taxonCount());
            for (int tree = 0; tree < TREES; tree++) {
                List<Reading> readings = trees.read(taxon, new TreeStream(seed, 0, taxon * TREES + tree));
                Evidence evidence = Evidence.of(model.sheet(), context, readings);
                tally.add(assessment(evidence, Tier.TALLY));
                record.add(assessment(evidence, Tier.RECORD));
            }
            return new Stranger(
                    trees.model().sheet().taxa().get(taxon),
                    Optional.of(tally.misnamed()),
                    Optional.of(record.misnamed()));
        }

        private Assessment assessment(Evidence evidence, Tier tier) {
            return Assessment.of(
                    model, evidence, new Terms(tier, school, Harm.SAMPLE, Optional.empty()), CallRecord.EMPTY);
        }

        private final class Count {
            private final int[] names;
            private int signable;
            private int flagged;

            Count(int taxa) {
                names = new int[taxa];
            }

            void add(Assessment assessment) {
                if (assessment.isSignable()) {
                    signable++;
                    names[assessment.deciding().lead()]++;
                    flagged += assessment.reasons().isEmpty() ? 0 : 1;
                }
            }

            Misnamed misnamed() {
                int most = 0;
                for (int k = 1; k < names.length; k++) {
                    most = names[k] > names[most] ? k : most;
                }
                return new Misnamed(
                        (double) signable / TREES,
                        (double) flagged / TREES,
                        names[most] == 0
                                ? Optional.empty()
                                : Optional.of(model.sheet().taxa().get(most)));
            }
        }
    }
}
