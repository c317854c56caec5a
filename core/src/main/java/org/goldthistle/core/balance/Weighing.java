package org.goldthistle.core.balance;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.School;

/** The readings of one tree, each weighed under one school; both balances are made of it. */
public final class Weighing {
    private final GroupModel model;
    private final Context context;
    private final List<WeighedReading> readings;

    private Weighing(GroupModel model, Context context, List<WeighedReading> readings) {
        this.model = model;
        this.context = context;
        this.readings = List.copyOf(readings);
    }

    /**
     * @param evidence checked against the model's sheet
     * @param school whose weights to use; empty: the sheet's own
     */
    public static Weighing of(GroupModel model, Evidence evidence, Optional<School> school) {
        Context context = evidence.context();
        List<WeighedReading> weighed = new ArrayList<>(evidence.readings().size());
        for (Reading reading : evidence.readings()) {
            int index = model.characterIndex(reading.character());
            DiagnosticCharacter character = model.sheet().characters().get(index);
            weighed.add(new WeighedReading(
                    reading,
                    character,
                    index,
                    Weight.of(character, reading, context, school),
                    Weight.isInSeason(character, reading.month().orElse(context.month())),
                    model.likelihood(index).meanLog(reading.observed(), reading.certainty())));
        }
        return new Weighing(model, context, weighed);
    }

    /** The readings in the order of the evidence. */
    public List<WeighedReading> readings() {
        return readings;
    }

    /** The balance with the surroundings: the prior of section 2 and every reading. */
    public Balance withSurroundings() {
        return new Balance(model, Prior.ofSurroundings(model.sheet(), context), readings);
    }

    /** The balance of features alone: a flat prior, and no reading of the site. */
    public Balance featuresAlone() {
        List<WeighedReading> features = new ArrayList<>(readings.size());
        for (WeighedReading reading : readings) {
            if (!reading.character().isSite()) {
                features.add(reading);
            }
        }
        return new Balance(model, Prior.flat(model.sheet(), context), features);
    }
}
