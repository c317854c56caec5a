package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.drawn.Borne;
import org.goldthistle.core.drawn.DrawnLook;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.LifeStage;

/**
 * One visit in one month, played through: all that a tree bears and that can be read then is drawn as a tree of a given
 * taxon would show it, and added to the readings made so far.
 */
final class VisitSimulation {
    /** Stands for the taxon when none reaches p*. */
    static final int NOBODY = -1;

    private final Balance deciding;
    private final LifeStage stage;
    private final double threshold;
    private final List<Check> checks = new ArrayList<>(); // all that some tree may offer
    private final Map<BitSet, Course> courses = new HashMap<>(); // by what of them a tree bears

    /**
     * @param deciding what the readings so far come to
     * @param visit the context in the month of the visit
     * @param read ids of the characters that are not read again
     */
    VisitSimulation(Balance deciding, Context visit, PlanTerms terms, Set<String> read) {
        GroupModel model = deciding.model();
        this.deciding = deciding;
        this.stage = visit.stage();
        this.threshold = terms.threshold();
        for (int i = 0; i < model.sheet().characters().size(); i++) {
            if (terms.allows(model.sheet().characters().get(i), visit, read)) {
                PlannedCheck check = new PlannedCheck(model, i, visit, terms.school());
                if (check.isWorthOffering()) {
                    checks.add(new Check(i, check, model.taxonCount()));
                }
            }
        }
    }

    /** Plays the visit for a tree of a taxon; the taxon that ends at p* or more, or {@link #NOBODY}. */
    int namedAfter(int truth, TreeStream stream) {
        Course course = courses.computeIfAbsent(borneBy(stream), Course::new);
        double[] logs = course.start.clone();
        for (int c = 0; c < course.checks.size(); c++) {
            course.checks.get(c).addReading(logs, truth, course.clusterShares[c], stream);
        }
        int best = 0;
        for (int k = 1; k < logs.length - 1; k++) {
            best = logs[k] > logs[best] ? k : best;
        }
        double total = 0;
        for (double log : logs) {
            total += Math.exp(log - logs[best]);
        }
        return 1 / total >= threshold ? best : NOBODY;
    }

    /** The checks for which the next tree bears what they need; all of one organ are borne or missing together. */
    private BitSet borneBy(TreeStream stream) {
        Borne tree = new Borne(stream);
        BitSet borne = new BitSet(checks.size());
        for (int c = 0; c < checks.size(); c++) {
            borne.set(c, tree.has(checks.get(c).character, stage));
        }
        return borne;
    }

    /** What is read on a tree that bears so much, and how the readings of each cluster then share its say. */
    private final class Course {
        private final List<Check> checks = new ArrayList<>();
        private final double[] clusterShares; // φ by check
        private final double[] start; // ln of belief before the visit, by taxon with none-of-these last

        Course(BitSet borne) {
            borne.stream().forEach(c -> checks.add(VisitSimulation.this.checks.get(c)));
            clusterShares = new double[checks.size()];
            for (int c = 0; c < clusterShares.length; c++) {
                clusterShares[c] = share(checks.get(c).index);
            }
            start = start();
        }

        private double share(int character) {
            return GroupModel.clusterShare(Math.max(1, deciding.readInCluster(character) + others(character)));
        }

        /** How many of a character's cluster are read on the visit. */
        private int others(int character) {
            GroupModel model = deciding.model();
            int cluster = model.cluster(character);
            int count = 0;
            for (Check check : checks) {
                count += cluster != GroupModel.ALONE && model.cluster(check.index) == cluster ? 1 : 0;
            }
            return count;
        }

        /** What is believed so far; readings whose cluster will be read more often give some of their share up. */
        private double[] start() {
            double[] logs = new double[deciding.model().taxonCount() + 1];
            for (int k = 0; k < logs.length; k++) {
                logs[k] = Math.log(deciding.prior(k));
            }
            for (int j = 0; j < deciding.readings().size(); j++) {
                int character = deciding.readings().get(j).characterIndex();
                double before = GroupModel.clusterShare(Math.max(1, deciding.readInCluster(character)));
                double after = share(character);
                for (int k = 0; k < logs.length; k++) {
                    logs[k] += deciding.contribution(j, k) * after / before;
                }
            }
            return logs;
        }
    }

    /** A check that is made on the visit, its outcomes laid out for drawing. */
    private static final class Check {
        private final int index; // of the character in the sheet
        private final DiagnosticCharacter character;
        private final Outcomes outcomes;
        private final DrawnLook look;
        private final int[] seen; // outcome by replicate
        private final double exponent; // w·n_eff
        private final double exponentIfAbsent;
        private final double[] sum;

        Check(int index, PlannedCheck check, int taxa) {
            this.index = index;
            character = check.character();
            outcomes = check.outcomes();
            look = new DrawnLook(outcomes, taxa, check.character().replication());
            seen = new int[look.replicates()];
            exponent = check.exponent(false);
            exponentIfAbsent = check.exponent(true);
            sum = new double[taxa + 1];
        }

        void addReading(double[] logs, int truth, double clusterShare, TreeStream stream) {
            Arrays.fill(sum, 0);
            boolean allAbsent = true;
            look.draw(truth, stream, seen);
            for (int outcome : seen) {
                allAbsent &= outcomes.isAbsent(outcome);
                for (int k = 0; k < sum.length; k++) {
                    sum[k] += outcomes.logReading(outcome, k);
                }
            }
            double each = (allAbsent ? exponentIfAbsent : exponent) * clusterShare / seen.length;
            for (int k = 0; k < sum.length; k++) {
                logs[k] += each * sum[k];
            }
        }
    }
}
