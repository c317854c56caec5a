package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.School;

/**
 * The characters that a second observer reads again when there is no time for all: the fewest that can be expected to
 * part two taxa as far as the tier asks. It is the same whichever of the two leads, so it tells nothing of a verdict.
 *
 * @param characters the strongest first
 * @param expectedPoints for the true one of the two against the other, once all are read
 * @param enough whether that reaches the odds asked for
 */
public record DecisiveSet(List<DiagnosticCharacter> characters, double expectedPoints, boolean enough) {

    /** Copies the list. */
    public DecisiveSet {
        characters = List.copyOf(characters);
    }

    /**
     * Takes the characters that can be read now by what they can be expected to bring, until that is enough.
     *
     * @param context month and stage of the tree
     * @param school whose weights count; empty: the sheet's own
     * @param worst the greatest harm that is allowed
     * @param a place of one taxon in the sheet
     * @param b place of the other
     * @param threshold p*, the share of belief that is asked for, in (0.5, 1)
     */
    public static DecisiveSet of(
            GroupModel model, Context context, Optional<School> school, Harm worst, int a, int b, double threshold) {
        List<ExpectedPoints> offered = ExpectedPoints.of(model, context, school, worst, a, b);
        double wanted = 10 * Math.log10(threshold / (1 - threshold));
        List<ExpectedPoints> taken = new ArrayList<>();
        double together = 0;
        for (ExpectedPoints next : offered) {
            if (together < wanted && next.points() >= ModelConstants.LEAST_EXPECTED_POINTS) {
                taken.add(next);
                together = total(taken);
            }
        }
        return new DecisiveSet(taken.stream().map(ExpectedPoints::character).toList(), together, together >= wanted);
    }

    /** All points together, those of one cluster discounted as when they are weighed. */
    private static double total(List<ExpectedPoints> taken) {
        double total = 0;
        for (ExpectedPoints one : taken) {
            long sharing = taken.stream()
                    .filter(other -> other == one || one.cluster() >= 0 && other.cluster() == one.cluster())
                    .count();
            total += one.points() * GroupModel.clusterShare((int) sharing);
        }
        return total;
    }
}
