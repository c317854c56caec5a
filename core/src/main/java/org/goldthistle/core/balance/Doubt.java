package org.goldthistle.core.balance;

import org.goldthistle.core.reading.Certainty;

/** The observer's certainty in a likelihood: {@code p″ = α·p′ + (1−α)·p̄}, section 3 of {@code docs/model.md}. */
final class Doubt {
    private Doubt() {}

    /**
     * @param probability p′ by taxon
     * @param noneOfThese p′ of none-of-these
     * @return ln p″ by taxon, none-of-these last, in nats
     */
    static double[] logs(double[] probability, double noneOfThese, Certainty certainty) {
        double[] logs = new double[probability.length + 1];
        addLogs(logs, probability, noneOfThese, certainty);
        return logs;
    }

    /** Adds ln p″ to a running sum instead of making a new array. */
    static void addLogs(double[] sum, double[] probability, double noneOfThese, Certainty certainty) {
        double own = certainty.trust();
        double shared = certainty == Certainty.SURE ? 0 : (1 - own) * meanOf(probability);
        for (int k = 0; k < probability.length; k++) {
            sum[k] += Math.log(own * probability[k] + shared);
        }
        sum[probability.length] += Math.log(own * noneOfThese + shared);
    }

    /** ln p″ of one p′, given p̄. */
    static double log(double probability, double amongTaxa, Certainty certainty) {
        double own = certainty.trust();
        return Math.log(own * probability + (1 - own) * amongTaxa);
    }

    /** p̄: the mean over the taxa, each counted alike. */
    static double meanOf(double[] probability) {
        double sum = 0;
        for (double p : probability) {
            sum += p;
        }
        return sum / probability.length;
    }
}
