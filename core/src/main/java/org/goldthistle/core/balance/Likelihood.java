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

    /** What a planned check of the character can turn out as, section 10. */
    Outcomes outcomes();

    /** How unexpected the replicates are under a taxon, in their mean: the terms of section 8's z. */
    Surprise surprise(Observed observed, int taxon);

    /**
     * The mean over the replicates of ln p″ under a tree that descends partly from either of two taxa: section 11.
     *
     * @param first index of the one parent
     * @param second index of the other
     * @param shares of the second, each in [0, 1]
     * @return one figure a share, in nats
     */
    double[] meanLogOfCross(Observed observed, Certainty certainty, int first, int second, double[] shares);
}
