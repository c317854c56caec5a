package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;

/**
 * One visit in one month, played through: all that can be read then is drawn as a tree of a given taxon would show
 * it, and added to the readings made so far.
 */
final class VisitSimulation {
    /** Stands for the taxon when none reaches p*. */
    static final int NOBODY = -1;

    private final double threshold;
    private final double[] start; // ln of belief before the visit, by taxon with none-of-these last
    private final List<Check> checks = new ArrayList<>();

    /**
     * @param deciding what the readings so far come to
     * @param visit the context in the month of the visit
     * @param read ids of the characters that are not read again
     */
    VisitSimulation(Balance deciding, Context visit, PlanTerms terms, Set<String> read) {
        GroupModel model = deciding.model();
        this.threshold = terms.threshold();
        List<DiagnosticCharacter> characters = model.sheet().characters();
        List<Integer> open = new ArrayList<>();
        int[] inCluster = new int[characters.size()];
        for (int i = 0; i < characters.size(); i++) {
            if (terms.allows(characters.get(i), visit, read)
                    && new PlannedCheck(model, i, visit, terms.school()).isWorthOffering()) {
                open.add(i);
            }
        }
        for (int i = 0; i < inCluster.length; i++) {
            inCluster[i] = deciding.readInCluster(i) + othersOfCluster(model, open, i);
        }
        for (int i : open) {
            checks.add(new Check(
                    new PlannedCheck(model, i, visit, terms.school()),
                    model.taxonCount(),
                    GroupModel.clusterShare(Math.max(1, inCluster[i]))));
        }
        this.start = start(deciding, inCluster);
    }

    private static int othersOfCluster(GroupModel model, List<Integer> open, int character) {
        int cluster = model.cluster(character);
        int count = 0;
        for (int i : open) {
            count += cluster != GroupModel.ALONE && model.cluster(i) == cluster ? 1 : 0;
        }
        return count;
    }

    /** What is believed so far; readings whose cluster will be read more often give some of their share up. */
    private static double[] start(Balance deciding, int[] inCluster) {
        double[] logs = new double[deciding.model().taxonCount() + 1];
        for (int k = 0; k < logs.length; k++) {
            logs[k] = Math.log(deciding.prior(k));
        }
        for (int j = 0; j < deciding.readings().size(); j++) {
            int character = deciding.readings().get(j).characterIndex();
            double before = GroupModel.clusterShare(Math.max(1, deciding.readInCluster(character)));
            double after = GroupModel.clusterShare(Math.max(1, inCluster[character]));
            for (int k = 0; k < logs.length; k++) {
                logs[k] += deciding.contribution(j, k) * after / before;
            }
        }
        return logs;
    }

    /** Plays the visit for a tree of a taxon; the taxon that ends at p* or more, or {@link #NOBODY}. */
    int namedAfter(int truth, TreeStream stream) {
        double[] logs = start.clone();
        for (Check check : checks) {
            check.addReading(logs, truth, stream);
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

    /** A check that is made on the visit, its outcomes laid out for drawing. */
    private static final class Check {
        private final Outcomes outcomes;
        private final double[][] cumulative; // by taxon and outcome
        private final int replicates;
        private final double copied; // the chance that a replicate just shows what the whole tree shows
        private final double exponent; // w·n_eff·φ
        private final double exponentIfAbsent;
        private final double[] sum;

        Check(PlannedCheck check, int taxa, double clusterShare) {
            outcomes = check.outcomes();
            replicates = check.character().replication().replicates();
            // two replicates that both copy with probability √ρ correlate by ρ
            copied = Math.sqrt(check.character().replication().likeness());
            exponent = check.exponent(false) * clusterShare;
            exponentIfAbsent = check.exponent(true) * clusterShare;
            sum = new double[taxa + 1];
            cumulative = new double[taxa][outcomes.count()];
            for (int k = 0; k < taxa; k++) {
                double total = 0;
                for (int x = 0; x < outcomes.count(); x++) {
                    total += outcomes.mass(x, k);
                    cumulative[k][x] = total;
                }
            }
        }

        void addReading(double[] logs, int truth, TreeStream stream) {
            java.util.Arrays.fill(sum, 0);
            boolean allAbsent = true;
            int ofTree = draw(truth, stream);
            for (int n = 0; n < replicates; n++) {
                int seen = stream.next() < copied ? ofTree : draw(truth, stream);
                allAbsent &= outcomes.isAbsent(seen);
                for (int k = 0; k < sum.length; k++) {
                    sum[k] += outcomes.logReading(seen, k);
                }
            }
            double each = (allAbsent ? exponentIfAbsent : exponent) / replicates;
            for (int k = 0; k < sum.length; k++) {
                logs[k] += each * sum[k];
            }
        }

        private int draw(int truth, TreeStream stream) {
            double point = stream.next();
            double[] up = cumulative[truth];
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
}
