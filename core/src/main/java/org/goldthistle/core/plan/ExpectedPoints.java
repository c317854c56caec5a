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
 * A character that can be read now, and what it brings on average for the true one of two taxa against the other, each
 * being true as often: Jeffreys' divergence, section 5a.
 *
 * @param cluster number of the character's cluster, or -1
 * @param points 0 or more
 */
public record ExpectedPoints(DiagnosticCharacter character, int cluster, double points) {

    /**
     * The characters of a tree that can be read in its month, those of the site left out; the most telling first, ties in
     * the sheet's order.
     *
     * @param context month and stage of the tree
     * @param school whose weights count; empty: the sheet's own
     * @param worst the greatest harm that is allowed
     * @param a place of one taxon in the sheet
     * @param b place of the other
     */
    public static List<ExpectedPoints> of(
            GroupModel model, Context context, Optional<School> school, Harm worst, int a, int b) {
        List<ExpectedPoints> readable = new ArrayList<>();
        for (int i = 0; i < model.sheet().characters().size(); i++) {
            PlannedCheck check = new PlannedCheck(model, i, context, school);
            DiagnosticCharacter character = check.character();
            double borne = character.borne(context.stage());
            if (character.effort().harm().compareTo(worst) <= 0
                    && !character.isSite()
                    && borne > 0
                    && Weight.isInSeason(character, context.month())
                    && check.isWorthOffering()) {
                readable.add(new ExpectedPoints(character, model.cluster(i), borne * divergence(check, a, b)));
            }
        }
        readable.sort(Comparator.comparingDouble(ExpectedPoints::points).reversed()); // stable
        return readable;
    }

    private static double divergence(PlannedCheck check, int a, int b) {
        double sum = 0;
        for (int x = 0; x < check.outcomes().count(); x++) {
            double difference = check.outcomes().mass(x, a) - check.outcomes().mass(x, b);
            double logs = check.outcomes().logMass(x, a) - check.outcomes().logMass(x, b);
            sum += check.exponent(check.outcomes().isAbsent(x)) * difference * logs / 2;
        }
        return ModelConstants.DECIBANS_PER_NAT * sum;
    }
}
