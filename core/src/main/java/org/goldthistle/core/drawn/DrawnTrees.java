package org.goldthistle.core.drawn;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.core.sheet.StateScale;

/**
 * Draws trees of a sheet's taxa with all that can be read on them, each character in a month in which it can be read,
 * attached and from the sun.
 */
public final class DrawnTrees {
    private final GroupModel model;
    private final LifeStage stage;
    private final List<DiagnosticCharacter> characters = new ArrayList<>();
    private final List<Outcomes> outcomes = new ArrayList<>();
    private final List<DrawnLook> looks = new ArrayList<>();

    /**
     * @param stage of the trees
     * @param worst the greatest harm that is done to them
     */
    public DrawnTrees(GroupModel model, LifeStage stage, Harm worst) {
        this.model = model;
        this.stage = stage;
        for (int i = 0; i < model.sheet().characters().size(); i++) {
            DiagnosticCharacter character = model.sheet().characters().get(i);
            if (character.effort().harm().compareTo(worst) <= 0 && character.borne(stage) > 0) {
                Outcomes possible = model.likelihood(i).outcomes();
                characters.add(character);
                outcomes.add(possible);
                looks.add(new DrawnLook(possible, model.taxonCount(), character.replication()));
            }
        }
    }

    /** All that can be read on the next tree of a stream, which is of the given taxon. */
    public List<Reading> read(int taxon, TreeStream stream) {
        Borne borne = new Borne(stream);
        List<Reading> readings = new ArrayList<>();
        for (int c = 0; c < characters.size(); c++) {
            DiagnosticCharacter character = characters.get(c);
            if (borne.has(character, stage)) {
                int[] seen = new int[looks.get(c).replicates()];
                looks.get(c).draw(taxon, stream, seen);
                readings.add(new Reading(
                        character.id(),
                        observed(character, outcomes.get(c), seen),
                        Certainty.ASSUMED,
                        Optional.of(Material.ATTACHED),
                        Optional.of(Position.SUN),
                        OptionalInt.of(Collections.min(character.trust().months()))));
            }
        }
        return readings;
    }

    /** The most looks that one tree asks for. */
    public int looksAtOneTree() {
        return looks.stream().mapToInt(DrawnLook::replicates).sum();
    }

    /** The model whose trees they are. */
    public GroupModel model() {
        return model;
    }

    private static Observed observed(DiagnosticCharacter character, Outcomes outcomes, int[] seen) {
        if (character.scale() instanceof StateScale states) {
            List<String> ids = new ArrayList<>();
            for (int outcome : seen) {
                ids.add(states.states().get(outcome).id());
            }
            return new StatesObserved(ids);
        }
        List<Double> values = new ArrayList<>();
        for (int outcome : seen) {
            values.add(outcomes.value(outcome));
        }
        return new ValuesObserved(values);
    }
}
