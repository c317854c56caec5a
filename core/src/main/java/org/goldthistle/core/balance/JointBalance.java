package org.goldthistle.core.balance;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What is believed of one tree by the readings of several observers together: section 5a of {@code docs/model.md}. Their
 * readings of one character count as replicates whose likeness is 0.6, so that agreement strengthens a call and
 * disagreement weakens it; with one observer it is the observer's own balance.
 */
public final class JointBalance {
    private final GroupModel model;
    private final double[] prior;
    private final List<JointReading> readings;
    private final double[] beyond; // what else speaks, ln by taxon
    private final double[] posterior;
    private final int lead;
    private final int rival;

    private JointBalance(GroupModel model, double[] prior, List<JointReading> readings, double[] beyond) {
        this.model = model;
        this.prior = prior;
        this.readings = List.copyOf(readings);
        this.beyond = beyond;
        double[] logs = new double[prior.length];
        for (int k = 0; k < logs.length; k++) {
            logs[k] = Math.log(prior[k]) + beyond[k];
            for (JointReading reading : readings) {
                logs[k] += reading.contribution[k];
            }
        }
        this.lead = Balance.bestBut(logs, -1);
        this.rival = Balance.bestBut(logs, lead);
        this.posterior = Balance.toShares(logs);
    }

    /**
     * @param balances of the observers, all with the surroundings or all from features alone; the first one's prior holds
     * @throws IllegalArgumentException if there is none, or they are not of one sheet
     */
    public static JointBalance of(List<Balance> balances) {
        if (balances.isEmpty()) {
            throw new IllegalArgumentException("a joint balance takes one balance or more");
        }
        GroupModel model = balances.get(0).model();
        Map<Integer, List<WeighedReading>> byCharacter = new LinkedHashMap<>();
        for (Balance balance : balances) {
            if (balance.model() != model) {
                throw new IllegalArgumentException("a joint balance takes balances of one sheet");
            }
            balance.readings()
                    .forEach(reading -> byCharacter
                            .computeIfAbsent(reading.characterIndex(), index -> new ArrayList<>())
                            .add(reading));
        }
        List<WeighedReading> one = new ArrayList<>();
        byCharacter.values().forEach(together -> one.add(together.get(0)));
        double[] shares = model.clusterShares(one);
        List<JointReading> joint = new ArrayList<>();
        for (List<WeighedReading> together : byCharacter.values()) {
            joint.add(JointReading.of(together, shares[joint.size()]));
        }
        double[] prior = new double[model.taxonCount() + 1];
        for (int k = 0; k < prior.length; k++) {
            prior[k] = balances.get(0).prior(k);
        }
        return new JointBalance(model, prior, joint, new double[prior.length]);
    }

    /**
     * The same with what something else than a reading says, such as a laboratory's result: section 16.
     *
     * @param logLikelihood by taxon, none-of-these last, in nats
     * @throws IllegalArgumentException if that are not as many
     */
    public JointBalance with(double[] logLikelihood) {
        if (logLikelihood.length != prior.length) {
            throw new IllegalArgumentException("one likelihood a taxon, and one for none of these");
        }
        double[] further = beyond.clone();
        for (int k = 0; k < further.length; k++) {
            further[k] += logLikelihood[k];
        }
        return new JointBalance(model, prior, readings, further);
    }

    /** How many independent looks so many observers' readings of one character are worth, {@code m/(1 + (m−1)·0.6)}. */
    public static double looks(int observers) {
        return observers / (1 + (observers - 1) * ModelConstants.OBSERVER_LIKENESS);
    }

    /** The model it was reckoned with. */
    public GroupModel model() {
        return model;
    }

    /** The characters that were read, in the order of their first reading. */
    public List<JointReading> readings() {
        return readings;
    }

    /** The share of belief in a taxon, or in none of these after the last one, in [0, 1]. */
    public double posterior(int taxon) {
        return posterior[taxon];
    }

    /** The taxon with the highest posterior. */
    public int lead() {
        return lead;
    }

    /** The taxon with the highest posterior after the lead. */
    public int rival() {
        return rival;
    }

    /** How far a joint reading speaks for taxon a against taxon b, in points. */
    public double points(int reading, int a, int b) {
        double[] contribution = readings.get(reading).contribution;
        return ModelConstants.DECIBANS_PER_NAT * (contribution[a] - contribution[b]);
    }

    /** All points for taxon a against taxon b, those of the surroundings included. */
    public double totalPoints(int a, int b) {
        double total =
                ModelConstants.DECIBANS_PER_NAT * (Math.log(prior[a]) - Math.log(prior[b]) + beyond[a] - beyond[b]);
        for (int j = 0; j < readings.size(); j++) {
            total += points(j, a, b);
        }
        return total;
    }

    /**
     * ln of belief by taxon, none-of-these last, not normalised, as it is without what was read of some characters; the
     * readings that stay keep their weight.
     *
     * @param characters places in the sheet
     */
    public double[] logsWithout(Set<Integer> characters) {
        double[] logs = new double[prior.length];
        for (int k = 0; k < logs.length; k++) {
            logs[k] = Math.log(prior[k]) + beyond[k];
            for (JointReading reading : readings) {
                logs[k] += characters.contains(reading.characterIndex) ? 0 : reading.contribution[k];
            }
        }
        return logs;
    }

    /** One character as several observers read it. */
    public static final class JointReading {
        private final int characterIndex;
        private final int observers;
        private final double[] contribution;

        private JointReading(int characterIndex, int observers, double[] contribution) {
            this.characterIndex = characterIndex;
            this.observers = observers;
            this.contribution = contribution;
        }

        /** The mean of what each reading adds by itself, times the looks they are worth together, times φ. */
        private static JointReading of(List<WeighedReading> together, double clusterShare) {
            int observers = together.size();
            double[] sum = null;
            for (WeighedReading reading : together) {
                double[] own = reading.contribution(clusterShare * looks(observers) / observers);
                if (sum == null) {
                    sum = own;
                } else {
                    for (int k = 0; k < sum.length; k++) {
                        sum[k] += own[k];
                    }
                }
            }
            return new JointReading(together.get(0).characterIndex(), observers, sum);
        }

        /** The character's place in the sheet. */
        public int characterIndex() {
            return characterIndex;
        }

        /** How many observers read it, at least one. */
        public int observers() {
            return observers;
        }
    }
}
