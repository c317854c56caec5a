package org.goldthistle.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.formats.BuiltInLibrary;
import org.goldthistle.formats.GroupSheetJson;

/** Trees with every character of a sheet read, with its replicates, drawn from the sheet's own profiles. */
final class DrawnTrees {
    static final String GROUP = "alders"; // 16 characters, 4 taxa: the largest of the built-in sheets

    private DrawnTrees() {}

    static GroupModel model() {
        return GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText(GROUP)));
    }

    /** A tree, and which taxon it was drawn as. */
    record Tree(int taxon, Evidence evidence) {}

    static List<Tree> draw(GroupModel model, int count, long seed) {
        Random random = new Random(seed);
        List<Tree> trees = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            int taxon = random.nextInt(model.taxonCount());
            trees.add(new Tree(taxon, evidence(model, taxon, random)));
        }
        return trees;
    }

    static Context september() {
        return new Context(
                9,
                LifeStage.MATURE,
                TreeOrigin.WILD,
                Set.of(),
                Optional.of(Material.ATTACHED),
                Optional.of(Position.SUN),
                Map.of());
    }

    private static Evidence evidence(GroupModel model, int taxon, Random random) {
        List<Observation> readings = new ArrayList<>();
        List<DiagnosticCharacter> characters = model.sheet().characters();
        for (int c = 0; c < characters.size(); c++) {
            Observed observed = observed(model, c, taxon, random);
            readings.add(
                    new Reading(characters.get(c).id(), observed, Certainty.SURE, Optional.empty(), Optional.empty()));
        }
        return Evidence.of(model.sheet(), september(), readings);
    }

    private static Observed observed(GroupModel model, int c, int taxon, Random random) {
        DiagnosticCharacter character = model.sheet().characters().get(c);
        int replicates = character.replication().replicates();
        if (character.scale() instanceof StateScale scale) {
            Outcomes outcomes = model.likelihood(c).outcomes();
            List<String> states = new ArrayList<>();
            for (int n = 0; n < replicates; n++) {
                states.add(scale.states().get(draw(outcomes, taxon, random)).id());
            }
            return new StatesObserved(states);
        }
        String taxonId = model.sheet().taxa().get(taxon).id();
        Range range = ((RangeProfile) model.sheet().profile(character, taxonId)).range();
        List<Double> values = new ArrayList<>();
        for (int n = 0; n < replicates; n++) {
            double half = (range.usuallyHigh() - range.usuallyLow()) / 2;
            double value = Math.max(0, range.centre() + random.nextGaussian() * half / 1.644854);
            values.add(character.scale().kind().equals("count") ? Math.rint(value) : value);
        }
        return new ValuesObserved(values);
    }

    private static int draw(Outcomes outcomes, int taxon, Random random) {
        double left = random.nextDouble();
        int x = 0;
        while (x < outcomes.count() - 1 && left >= outcomes.mass(x, taxon)) {
            left -= outcomes.mass(x, taxon);
            x++;
        }
        return x;
    }
}
