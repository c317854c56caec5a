package org.goldthistle.core.plan;

import java.util.List;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;

/**
 * A check that could be made next, with what it promises and what it asks: the parts of its reason, to be put into
 * words by whoever shows it.
 *
 * @param character to be looked at
 * @param gain information it is expected to bring about the taxon, in bits, at least 0, for a tree that may bear none of it
 * @param chanceToSettle that some taxon reaches p* by it, in [0, 1]
 * @param cost minutes of work, with harm and hazards put in minutes' worth
 * @param comesFirst whether its organ is wanted for the quorum
 * @param comesLast whether the observer lacks what it asks for
 */
public record NextCheck(
        DiagnosticCharacter character,
        double gain,
        double chanceToSettle,
        double cost,
        boolean comesFirst,
        boolean comesLast) {

    private static final double[] SEED_STEPS = {0.01, 0.03, 0.08, 0.2};

    /** What one minute's worth of it brings, in bits: checks are ranked by it. */
    public double gainPerCost() {
        return gain / cost;
    }

    /**
     * How promising it is at a glance, in seeds from 0 to 4: one each for 0.01, 0.03, 0.08 and 0.2 bits a minute's
     * worth. Half a bit for two minutes and a leaf has all four, a hint has none.
     */
    public int seeds() {
        int seeds = 0;
        for (double step : SEED_STEPS) {
            seeds += gainPerCost() >= step ? 1 : 0;
        }
        return seeds;
    }

    /** Minutes of work. */
    public double minutes() {
        return character.effort().minutes();
    }

    /** What it does to the tree. */
    public Harm harm() {
        return character.effort().harm();
    }

    /** Topics of the cautions that apply. */
    public List<CautionTopic> hazards() {
        return character.effort().hazards();
    }
}
