package org.goldthistle.core.plan;

import java.util.Optional;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.balance.Weight;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.School;

/**
 * A check as it would be made: attached material, from the sun, without doubt, with the sheet's replicates. Its
 * weight depends on the outcome, since a weak absence counts less.
 */
final class PlannedCheck {
    private static final double NATS_PER_BIT = Math.log(2);

    private final DiagnosticCharacter character;
    private final Outcomes outcomes;
    private final double looks;
    private final double weightIfPresent;
    private final double weightIfAbsent;

    PlannedCheck(GroupModel model, int characterIndex, Context context, Optional<School> school) {
        this.character = model.sheet().characters().get(characterIndex);
        this.outcomes = model.likelihood(characterIndex).outcomes();
        this.looks = character.replication().looks(character.replication().replicates());
        this.weightIfPresent = Weight.ofPlanned(character, context, school, false);
        this.weightIfAbsent = Weight.ofPlanned(character, context, school, true);
    }

    DiagnosticCharacter character() {
        return character;
    }

    Outcomes outcomes() {
        return outcomes;
    }

    /** Whether some outcome would weigh enough. */
    boolean isWorthOffering() {
        return weightIfPresent
                > ModelConstants.LEAST_PLANNED_WEIGHT; // a weak absence weighs less than that, never more
    }

    /** e of section 10, {@code w·n_eff·φ}, before the cluster's share. */
    double exponent(boolean allAbsent) {
        return looks * (allAbsent ? weightIfAbsent : weightIfPresent);
    }

    /**
     * Gain: the mutual information between taxon and outcome, in bits, under the channel
     * {@code c_k(x) = m_k(x)^e(x) / Σ_x m_k(x)^e(x)}.
     *
     * @param among Q, the belief in each taxon
     * @param clusterShare φ that the reading would get
     * @see "Lindley 1956, On a measure of the information provided by an experiment, Ann. Math. Stat. 27"
     */
    double gain(double[] among, double clusterShare) {
        double[] ofOutcome = new double[outcomes.count()];
        double ambiguity = 0; // H(outcome | taxon)
        double[] tempered = new double[ofOutcome.length];
        for (int k = 0; k < among.length; k++) {
            double total = 0;
            double logSum = 0;
            for (int x = 0; x < tempered.length; x++) {
                double log = exponent(outcomes.isAbsent(x)) * clusterShare * outcomes.logMass(x, k);
                tempered[x] = Math.exp(log);
                total += tempered[x];
                logSum += tempered[x] * log;
            }
            // −Σ c ln c, where ln c = log − ln total
            ambiguity += among[k] * (Math.log(total) - logSum / total);
            for (int x = 0; x < tempered.length; x++) {
                ofOutcome[x] += among[k] * tempered[x] / total;
            }
        }
        double entropy = 0;
        for (double p : ofOutcome) {
            entropy -= p > 0 ? p * Math.log(p) : 0;
        }
        return Math.max(0, entropy - ambiguity) / NATS_PER_BIT; // rounding may fall a hair below 0
    }

    /** The chance that some taxon has at least p* after the check, the outcome being drawn by Q. */
    double chanceToSettle(Balance deciding, double[] among, double clusterShare, double threshold) {
        double chance = 0;
        int taxa = among.length;
        double[] after = new double[taxa + 1];
        for (int x = 0; x < outcomes.count(); x++) {
            double exponent = exponent(outcomes.isAbsent(x)) * clusterShare;
            double probability = 0;
            double best = 0;
            double total = 0;
            for (int k = 0; k <= taxa; k++) {
                double prior = k < taxa ? deciding.posterior(k) : deciding.noneOfThese();
                after[k] = prior * Math.exp(exponent * outcomes.logMass(x, k));
                total += after[k];
                if (k < taxa) {
                    probability += among[k] * outcomes.mass(x, k);
                    best = Math.max(best, after[k]);
                }
            }
            if (best / total >= threshold) {
                chance += probability;
            }
        }
        return chance;
    }
}
