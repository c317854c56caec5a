package org.goldthistle.core.balance;

import static org.goldthistle.core.balance.ModelConstants.DECIBANS_PER_NAT;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What is believed of a tree once the readings are weighed: section 5 of {@code docs/model.md},
 * {@code posterior_k ∝ prior_k · exp(Σ_j ℓ_jk)}. Taxa and readings are addressed by their place in the sheet and
 * in {@link #readings()}; the place after the last taxon is none-of-these.
 *
 * @see "Good 1950, Probability and the Weighing of Evidence"
 */
public final class Balance {
    private final GroupModel model;
    private final double[] prior;
    private final List<WeighedReading> readings;
    private final double[] shares; // φ by reading
    private final double[][] contributions; // ℓ by reading and taxon, in nats
    private final double[] logs; // ln of belief, not normalised: no number of replicates makes them all alike
    private final double[] posterior;
    private final int lead;
    private final int rival;

    Balance(GroupModel model, double[] prior, List<WeighedReading> readings) {
        this.model = model;
        this.prior = prior;
        this.readings = List.copyOf(readings);
        this.shares = model.clusterShares(readings);
        this.contributions = new double[readings.size()][];
        for (int j = 0; j < contributions.length; j++) {
            contributions[j] = readings.get(j).contribution(shares[j]);
        }
        this.logs = logs(prior, contributions);
        this.posterior = normalised(logs.clone());
        this.lead = bestBut(logs, -1);
        this.rival = bestBut(logs, lead);
    }

    private static double[] logs(double[] prior, double[][] contributions) {
        double[] logs = new double[prior.length];
        for (int k = 0; k < logs.length; k++) {
            logs[k] = Math.log(prior[k]);
            for (double[] contribution : contributions) {
                logs[k] += contribution[k];
            }
        }
        return logs;
    }

    /** Shares that add up to 1 from logarithms; the largest is taken off before exp so that none overflows. */
    private static double[] normalised(double[] logs) {
        double largest = Double.NEGATIVE_INFINITY;
        for (double log : logs) {
            largest = Math.max(largest, log);
        }
        double total = 0;
        for (int k = 0; k < logs.length; k++) {
            logs[k] = Math.exp(logs[k] - largest);
            total += logs[k];
        }
        for (int k = 0; k < logs.length; k++) {
            logs[k] /= total;
        }
        return logs;
    }

    /** The taxon with the highest belief, none-of-these and one other left out; ties go to the earlier. */
    static int bestBut(double[] logs, int leftOut) {
        int best = leftOut == 0 ? 1 : 0;
        for (int k = best + 1; k < logs.length - 1; k++) {
            if (k != leftOut && logs[k] > logs[best]) {
                best = k;
            }
        }
        return best;
    }

    /** Shares of belief from logarithms that add up to 1; changes and returns the array it is given. */
    public static double[] toShares(double[] logs) {
        return normalised(logs);
    }

    /** The model it was reckoned with. */
    public GroupModel model() {
        return model;
    }

    /** The readings that this balance uses. */
    public List<WeighedReading> readings() {
        return readings;
    }

    /** The share of belief in a taxon before the readings, in (0, 1). */
    public double prior(int taxon) {
        return prior[taxon];
    }

    /** The share of belief in a taxon, in [0, 1]. */
    public double posterior(int taxon) {
        return posterior[taxon];
    }

    /** The share of belief in none of the sheet's taxa. */
    public double noneOfThese() {
        return posterior[posterior.length - 1];
    }

    /** ℓ of section 4: what a reading adds to ln of a taxon's (or none-of-these') belief, in nats. */
    public double contribution(int reading, int taxon) {
        return contributions[reading][taxon];
    }

    /** {@code w·n_eff·φ}: the exponent on a reading's likelihood. */
    public double exponent(int reading) {
        return readings.get(reading).weight() * readings.get(reading).looks() * shares[reading];
    }

    /** {@code n_eff·φ}: the same before the weight. */
    public double looks(int reading) {
        return readings.get(reading).looks() * shares[reading];
    }

    /** ln of the share of belief in a taxon, in nats: finite even where the share has run out of digits. */
    public double logPosterior(int taxon) {
        double largest = Arrays.stream(logs).max().orElseThrow();
        double total = 0;
        for (double log : logs) {
            total += Math.exp(log - largest);
        }
        return logs[taxon] - largest - Math.log(total);
    }

    /** The same without one of its readings. */
    public Balance without(int reading) {
        List<WeighedReading> others = new ArrayList<>(readings);
        others.remove(reading);
        return new Balance(model, prior, others);
    }

    /** How many of this balance's readings belong to a character's cluster; 0 if it stands alone. */
    public int readInCluster(int character) {
        int cluster = model.cluster(character);
        int read = 0;
        for (WeighedReading reading : readings) {
            if (cluster != GroupModel.ALONE && model.cluster(reading.characterIndex()) == cluster) {
                read++;
            }
        }
        return read;
    }

    /** Q of section 10: the posterior over the taxa alone, none-of-these set aside. */
    public double[] amongTaxa() {
        return normalised(Arrays.copyOf(logs, logs.length - 1));
    }

    /** The taxon with the highest posterior. */
    public int lead() {
        return lead;
    }

    /** The taxon with the highest posterior after the lead. */
    public int rival() {
        return rival;
    }

    /**
     * How far a reading speaks for taxon a against taxon b, {@code 10·(ℓ_ja − ℓ_jb)/ln 10}. Ten points are ten to
     * one, twenty a hundred to one.
     *
     * @return points (decibans): above 0 for a, below 0 for b
     */
    public double points(int reading, int a, int b) {
        return DECIBANS_PER_NAT * (contributions[reading][a] - contributions[reading][b]);
    }

    /** How far the surroundings speak for taxon a against taxon b, in points; 0 from features alone. */
    public double surroundingsPoints(int a, int b) {
        return DECIBANS_PER_NAT * (Math.log(prior[a]) - Math.log(prior[b]));
    }

    /** All points for taxon a against taxon b, those of the surroundings included. */
    public double totalPoints(int a, int b) {
        double total = surroundingsPoints(a, b);
        for (int j = 0; j < contributions.length; j++) {
            total += points(j, a, b);
        }
        return total;
    }
}
