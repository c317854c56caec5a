package org.goldthistle.core.practice;

import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.NormalDistribution;
import org.goldthistle.core.balance.NumberLikelihood;
import org.goldthistle.core.balance.TwoPieceNormal;
import org.goldthistle.core.drawn.DrawnLook;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.StateScale;

/**
 * What a practice tree shows of a character: states, or numbers, one for each leaf, cone … that is looked at; neither:
 * it bears none.
 */
public record Specimen(List<String> states, List<Double> values) {
    static final Specimen NOT_BORNE = new Specimen(List.of(), List.of());
    private static final double FINE = 1000; // steps of a millimetre, or of a ratio

    /** Copies both. */
    public Specimen {
        states = List.copyOf(states);
        values = List.copyOf(values);
    }

    /** Whether the tree bears what it is read from. */
    public boolean isBorne() {
        return !states.isEmpty() || !values.isEmpty();
    }

    static Specimen draw(GroupModel model, DiagnosticCharacter character, int taxon, TreeStream stream) {
        int c = model.characterIndex(character.id());
        if (character.scale() instanceof StateScale scale) {
            var look = new DrawnLook(model.likelihood(c).outcomes(), model.taxonCount(), character.replication());
            int[] seen = new int[look.replicates()];
            look.draw(taxon, stream, seen);
            List<String> states = new ArrayList<>();
            for (int outcome : seen) {
                states.add(scale.states().get(outcome).id());
            }
            return new Specimen(states, List.of());
        }
        TwoPieceNormal spread = ((NumberLikelihood) model.likelihood(c)).spread(taxon);
        double likeness = character.replication().likeness();
        double ofTree = normal(stream);
        List<Double> values = new ArrayList<>();
        for (int n = 0; n < character.replication().replicates(); n++) {
            double z = Math.sqrt(likeness) * ofTree + Math.sqrt(1 - likeness) * normal(stream);
            values.add(
                    asShown(spread.quantile(NormalDistribution.below(z)), ((NumberScale) character.scale()).measure()));
        }
        return new Specimen(List.of(), values);
    }

    private static double normal(TreeStream stream) {
        double point = stream.next();
        return NormalDistribution.quantile(Math.max(point, Double.MIN_NORMAL));
    }

    /** As finely as it can be read from a drawing, and never below 0; a ratio above it. */
    private static double asShown(double value, Measure measure) {
        double fineness = measure == Measure.COUNT || measure == Measure.ANGLE ? 1 : FINE;
        return Math.max(measure == Measure.RATIO ? 1 / fineness : 0, Math.round(value * fineness) / fineness);
    }
}
