package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.Weight;
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
        List<Worth> offered = new ArrayList<>();
        for (int i = 0; i < model.sheet().characters().size(); i++) {
            PlannedCheck check = new PlannedCheck(model, i, context, school);
            DiagnosticCharacter character = check.character();
            boolean allowed = character.effort().harm().compareTo(worst) <= 0;
            if (allowed
                    && !character.isSite()
                    && character.borne(context.stage()) > 0
                    && Weight.isInSeason(character, context.month())
                    && check.isWorthOffering()) {
                offered.add(
                        new Worth(character, model.cluster(i), character.borne(context.stage()) * points(check, a, b)));
            }
        }
        offered.sort(Comparator.comparingDouble(Worth::points).reversed()); // stable: ties stay in the sheet's order
        double wanted = 10 * Math.log10(threshold / (1 - threshold));
        List<Worth> taken = new ArrayList<>();
        double together = 0;
        for (Worth next : offered) {
            if (together < wanted && next.points() >= ModelConstants.LEAST_EXPECTED_POINTS) {
                taken.add(next);
                together = total(taken);
            }
        }
        return new DecisiveSet(taken.stream().map(Worth::character).toList(), together, together >= wanted);
    }

    /** What a check brings on average for the true taxon against the other, each being true as often: Jeffreys' divergence. */
    private static double points(PlannedCheck check, int a, int b) {
        double sum = 0;
        for (int x = 0; x < check.outcomes().count(); x++) {
            double difference = check.outcomes().mass(x, a) - check.outcomes().mass(x, b);
            double logs = check.outcomes().logMass(x, a) - check.outcomes().logMass(x, b);
            sum += check.exponent(check.outcomes().isAbsent(x)) * difference * logs / 2;
        }
        return ModelConstants.DECIBANS_PER_NAT * sum;
    }

    /** All points together, those of one cluster discounted as when they are weighed. */
    private static double total(List<Worth> taken) {
        double total = 0;
        for (Worth one : taken) {
            long sharing = taken.stream()
                    .filter(other -> other == one || one.cluster() >= 0 && other.cluster() == one.cluster())
                    .count();
            total += one.points() * GroupModel.clusterShare((int) sharing);
        }
        return total;
    }

    private record Worth(DiagnosticCharacter character, int cluster, double points) {}
}
