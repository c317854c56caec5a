package org.goldthistle.demo;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.StateScale;

/**
 * Reads made-up trees as people do: mostly right, now and then of another tree's litter, from a shade leaf, or simply
 * mistaken.
 */
final class DemoReader {
    private static final double MISTAKEN = 0.06;
    private static final double UNSEEN = 0.07;
    private static final double FROM_LITTER = 0.12; // of what hangs on a tree, in autumn
    private static final double FROM_SHADE = 0.18; // of leaves
    private static final double SHADE_GROWTH = 1.25; // how much larger a leaf is there
    private static final double USUAL_PAIR = 1.644854; // standard deviations from the centre to the usual pair
    private static final int FIRST_OF_AUTUMN = 9;
    private static final Set<Organ> HANGING = Set.of(Organ.LEAF, Organ.FRUIT, Organ.CONE);

    private final GroupModel model;
    private final Random random;

    DemoReader(GroupModel model, Random random) {
        this.model = model;
        this.random = random;
    }

    /** The readings of a visit: up to that many checks that the month and the tree's stage allow. */
    List<ArchivedCall.Reading> read(String taxonId, LifeStage stage, int month, int most) {
        List<Integer> offered = new ArrayList<>();
        for (int c = 0; c < model.sheet().characters().size(); c++) {
            DiagnosticCharacter character = model.sheet().characters().get(c);
            if (character.trust().months().contains(month)
                    && character.trust().factor(stage) > 0
                    && character.effort().harm() == Harm.NONE
                    && !character.isSite()) {
                offered.add(c);
            }
        }
        Collections.shuffle(offered, random);
        List<ArchivedCall.Reading> readings = new ArrayList<>();
        for (int c : offered.subList(0, Math.min(most, offered.size()))) {
            readings.add(reading(c, model.sheet().taxonIndex(taxonId), month));
        }
        return readings;
    }

    private ArchivedCall.Reading reading(int c, int truth, int month) {
        DiagnosticCharacter character = model.sheet().characters().get(c);
        if (random.nextDouble() < UNSEEN) {
            return new ArchivedCall.Reading(character.id(), null, null, null, null, null, null);
        }
        boolean litter =
                HANGING.contains(character.organ()) && month >= FIRST_OF_AUTUMN && random.nextDouble() < FROM_LITTER;
        boolean shade = character.organ() == Organ.LEAF && !litter && random.nextDouble() < FROM_SHADE;
        boolean astray = litter && random.nextBoolean() || random.nextDouble() < MISTAKEN;
        int taxon = astray ? random.nextInt(model.taxonCount()) : truth;
        String certainty = astray || shade ? "fairly" : random.nextDouble() < 0.75 ? "sure" : "unsure";
        String material = HANGING.contains(character.organ()) ? litter ? "litter" : "attached" : null;
        String position = character.organ() == Organ.LEAF && !litter ? shade ? "shade" : "sun" : null;
        return character.scale() instanceof StateScale scale
                ? new ArchivedCall.Reading(
                        character.id(), states(c, scale, taxon), null, certainty, material, position, null)
                : new ArchivedCall.Reading(
                        character.id(), null, values(character, taxon, shade), certainty, material, position, null);
    }

    /** One state a replicate; as in the core's simulation a replicate copies its tree with probability √likeness. */
    private List<String> states(int c, StateScale scale, int taxon) {
        DiagnosticCharacter character = model.sheet().characters().get(c);
        Outcomes outcomes = model.likelihood(c).outcomes();
        double copied = Math.sqrt(character.replication().likeness());
        int ofTree = draw(outcomes, taxon);
        List<String> states = new ArrayList<>();
        for (int n = 0; n < character.replication().replicates(); n++) {
            int seen = random.nextDouble() < copied ? ofTree : draw(outcomes, taxon);
            states.add(scale.states().get(seen).id());
        }
        return states;
    }

    private int draw(Outcomes outcomes, int taxon) {
        double left = random.nextDouble();
        int x = 0;
        while (x < outcomes.count() - 1 && left >= outcomes.mass(x, taxon)) {
            left -= outcomes.mass(x, taxon);
            x++;
        }
        return x;
    }

    /** One value a replicate, rounded as people say them. */
    List<Double> values(DiagnosticCharacter character, int taxon, boolean shade) {
        NumberScale scale = (NumberScale) character.scale();
        String taxonId = model.sheet().taxa().get(taxon).id();
        Range range = ((RangeProfile) model.sheet().profile(character, taxonId)).range();
        double spread = (range.usuallyHigh() - range.usuallyLow()) / 2 / USUAL_PAIR;
        double likeness = character.replication().likeness();
        double ofTree = random.nextGaussian();
        List<Double> values = new ArrayList<>();
        for (int n = 0; n < character.replication().replicates(); n++) {
            double own = Math.sqrt(likeness) * ofTree + Math.sqrt(1 - likeness) * random.nextGaussian();
            double value = Math.max(range.rarelyLow(), range.centre() + spread * own);
            double grown = shade && !scale.isCount() ? value * SHADE_GROWTH : value;
            values.add(scale.isCount() ? Math.max(0, Math.rint(grown)) : Math.round(10 * grown) / 10.0);
        }
        return values;
    }
}
