package org.goldthistle.core.verdict;

import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.Surprise;
import org.goldthistle.core.balance.WeighedReading;

/** How strange the readings are even if the lead is right: section 8. */
final class Unexpectedness {
    private Unexpectedness() {}

    /**
     * {@code z = Σw(s̄ − e)/√Σw²vd} over the readings, s̄ the mean over a reading's replicates and
     * {@code d = (1 + (n−1)·likeness)/n}: about standard normal when the lead is right, large when the tree fits none of the
     * taxa. 0 where there is nothing to divide by.
     */
    static double z(Balance deciding) {
        double sum = 0;
        double variance = 0;
        for (WeighedReading reading : deciding.readings()) {
            Surprise surprise = deciding.model()
                    .likelihood(reading.characterIndex())
                    .surprise(reading.reading().observed(), deciding.lead());
            double w = reading.weight();
            sum += w * (surprise.found() - surprise.expected());
            variance += w * w * surprise.variance() / reading.looks();
        }
        return variance > 0 ? sum / Math.sqrt(variance) : 0;
    }
}
