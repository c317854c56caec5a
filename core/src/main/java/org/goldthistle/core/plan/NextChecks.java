package org.goldthistle.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Effort;
import org.goldthistle.core.sheet.Harm;

/** Which checks remain on a tree today, the most promising for its effort first: section 10. */
public final class NextChecks {

    private static final Comparator<NextCheck> BEST_FIRST = Comparator.comparingDouble(NextCheck::gainPerCost)
            .reversed()
            .thenComparing(check -> check.character().zone());

    private NextChecks() {}

    /** Every check that is offered, ranked; those that wound the tree among them. */
    public static List<NextCheck> offered(Balance deciding, Context context, PlanTerms terms) {
        GroupModel model = deciding.model();
        Set<String> read = read(deciding);
        double[] among = deciding.amongTaxa();
        List<NextCheck> offered = new ArrayList<>();
        for (int i = 0; i < model.sheet().characters().size(); i++) {
            if (terms.allows(model.sheet().characters().get(i), context, read)) {
                PlannedCheck check = new PlannedCheck(model, i, context, terms.school());
                if (check.isWorthOffering()) {
                    offered.add(promise(
                            check,
                            deciding,
                            among,
                            context,
                            terms,
                            GroupModel.clusterShare(1 + deciding.readInCluster(i))));
                }
            }
        }
        offered.sort(BEST_FIRST); // stable, so ties stay in the sheet's order
        return List.copyOf(offered);
    }

    private static NextCheck promise(
            PlannedCheck check,
            Balance deciding,
            double[] among,
            Context context,
            PlanTerms terms,
            double clusterShare) {
        DiagnosticCharacter character = check.character();
        double borne = character.borne(context.stage());
        return new NextCheck(
                character,
                borne * check.gain(among, clusterShare),
                borne * check.chanceToSettle(deciding, among, clusterShare, terms.threshold()),
                cost(character.effort()),
                terms.organsFirst().contains(character.organ()),
                context.lacksFor(character.effort()));
    }

    /** Ids of the characters that a balance has readings of. */
    static Set<String> read(Balance balance) {
        Set<String> read = new HashSet<>();
        for (WeighedReading reading : balance.readings()) {
            read.add(reading.character().id());
        }
        return read;
    }

    /**
     * The offered checks as they are suggested to a crew: those that wound the tree left out while a gentler one has a
     * quarter of their gain, those that the quorum wants before the others, and those that ask for what the observer
     * lacks after all others.
     */
    public static List<NextCheck> suggested(List<NextCheck> offered) {
        double gentlest = 0;
        for (NextCheck check : offered) {
            if (check.harm() != Harm.WOUND) {
                gentlest = Math.max(gentlest, check.gain());
            }
        }
        List<NextCheck> suggested = new ArrayList<>();
        for (NextCheck check : offered) {
            if (check.harm() != Harm.WOUND || gentlest < ModelConstants.GENTLE_ENOUGH * check.gain()) {
                suggested.add(check);
            }
        }
        suggested.sort(Comparator.comparing(NextCheck::comesLast)
                .thenComparing(
                        Comparator.comparing(NextCheck::comesFirst).reversed())); // stable: ranked among themselves
        return List.copyOf(suggested);
    }

    private static double cost(Effort effort) {
        return effort.minutes()
                + effort.harm().minutesWorth()
                + ModelConstants.HAZARD_COST * effort.hazards().size();
    }
}
