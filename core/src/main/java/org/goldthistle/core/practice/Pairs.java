package org.goldthistle.core.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.sheet.DiagnosticCharacter;

/** The pairs of a sheet's taxa that can be practised. */
public final class Pairs {
    private static final double APART = 0.1; // of their mass in one character; less tells nothing

    private Pairs() {}

    /** All pairs that something tells apart, those that are most alike first. */
    public static List<Pair> of(GroupModel model) {
        List<Pair> pairs = new ArrayList<>();
        for (int a = 0; a < model.taxonCount(); a++) {
            for (int b = a + 1; b < model.taxonCount(); b++) {
                Pair pair = new Pair(
                        model.sheet().taxa().get(a).id(),
                        model.sheet().taxa().get(b).id());
                if (areToldApart(model, pair)) {
                    pairs.add(pair);
                }
            }
        }
        pairs.sort(Comparator.comparingDouble(pair -> difference(model, pair)));
        return pairs;
    }

    /** Whether something that is read from a tree tells two taxa apart. */
    static boolean areToldApart(GroupModel model, Pair pair) {
        return model.sheet().characters().stream().anyMatch(character -> tells(model, character, pair));
    }

    /** Whether a character that is read from a tree tells two taxa apart. */
    static boolean tells(GroupModel model, DiagnosticCharacter character, Pair pair) {
        return !character.isSite() && apart(model, character, pair) >= APART;
    }

    /** How far the weighted characters of two taxa differ in all. */
    private static double difference(GroupModel model, Pair pair) {
        return model.sheet().characters().stream()
                .filter(character -> !character.isSite())
                .mapToDouble(character -> character.trust().weight() * apart(model, character, pair))
                .sum();
    }

    /** How much of their mass two taxa do not share in a character, in [0, 1]. */
    private static double apart(GroupModel model, DiagnosticCharacter character, Pair pair) {
        Outcomes outcomes =
                model.likelihood(model.characterIndex(character.id())).outcomes();
        int a = model.sheet().taxonIndex(pair.one());
        int b = model.sheet().taxonIndex(pair.other());
        double apart = 0;
        for (int x = 0; x < outcomes.count(); x++) {
            apart += Math.abs(outcomes.mass(x, a) - outcomes.mass(x, b)) / 2;
        }
        return apart;
    }
}
