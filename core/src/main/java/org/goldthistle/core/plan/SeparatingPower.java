package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weight;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.School;

/**
 * How well one fair reading of a character parts some taxa of its group, each of them believed as much as the others:
 * the gain of section 10 from an even start. A character out of its months counts what a reading then would count.
 *
 * @param character it is the power of
 * @param bits of information about the taxon, from 0 to the logarithm to base 2 of the number of taxa
 * @param inSeason whether it can be read in the month
 */
public record SeparatingPower(DiagnosticCharacter character, double bits, boolean inSeason) {

    /**
     * All characters of a sheet, the most powerful first; ties stay in the sheet's order.
     *
     * @param context month and stage of the tree
     * @param school whose weights count; empty: the sheet's own
     * @param taxa ids of those to be parted, two or more
     * @throws IllegalArgumentException if there are fewer than two taxa of the sheet among the ids
     */
    public static List<SeparatingPower> of(
            GroupModel model, Context context, Optional<School> school, Set<String> taxa) {
        double[] among = even(model, taxa);
        List<SeparatingPower> powers = new ArrayList<>();
        for (int i = 0; i < model.sheet().characters().size(); i++) {
            PlannedCheck check = new PlannedCheck(model, i, context, school);
            DiagnosticCharacter character = check.character();
            powers.add(new SeparatingPower(
                    character, check.gain(among, 1), Weight.isInSeason(character, context.month())));
        }
        powers.sort(Comparator.comparingDouble(SeparatingPower::bits).reversed());
        return List.copyOf(powers);
    }

    private static double[] even(GroupModel model, Set<String> taxa) {
        double[] among = new double[model.taxonCount()];
        int found = 0;
        for (int k = 0; k < among.length; k++) {
            if (taxa.contains(model.sheet().taxa().get(k).id())) {
                among[k] = 1;
                found++;
            }
        }
        if (found < 2) {
            throw new IllegalArgumentException("it takes two taxa of the sheet, found " + found + " in " + taxa);
        }
        for (int k = 0; k < among.length; k++) {
            among[k] /= found;
        }
        return among;
    }
}
