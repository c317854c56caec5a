package org.goldthistle.core.balance;

import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Observed;

/**
 * How probable a reading of one character is under each taxon of the sheet and under none-of-these: section 3 of
 * {@code docs/model.md}. Wherever an array runs over taxa, none-of-these comes last.
 */
public sealed interface Likelihood permits StateLikelihood, NumberLikelihood {

    /**
     * The mean over the replicates of ln p″: the lapse and the observer's certainty are in it, the weight is not.
     *
     * @param observed what was seen, fit for this character
     * @param certainty α of section 3
     * @return one figure a taxon and one for none-of-these, in nats, finite
     */
    double[] meanLog(Observed observed, Certainty certainty);
}
