package org.goldthistle.core;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.Absence;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.State;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;

/** Legal sheets and readings of every sort from a seed: zero widths, outliers, hybrids, clusters, weak absences. */
public final class RandomSheets {
    private static final Organ[] ORGANS = {Organ.BARK, Organ.TWIG, Organ.LEAF, Organ.FRUIT, Organ.SITE};

    private RandomSheets() {}

    /** Taxa t0, t1 …, of which the last is a hybrid of the first two when there are three or more. */
    public static GroupSheet sheet(Random random, int taxa, int characters) {
        List<DiagnosticCharacter> all = new ArrayList<>();
        for (int c = 0; c < characters; c++) {
            all.add(character(random, "c" + c, taxa));
        }
        return Sheets.sheet(taxa(taxa), all.toArray(new DiagnosticCharacter[0]));
    }

    private static List<Taxon> taxa(int count) {
        List<Taxon> taxa = new ArrayList<>();
        for (int k = 0; k < count; k++) {
            boolean hybrid = k == count - 1 && count >= 3;
            taxa.add(hybrid ? Sheets.hybrid("t" + k, "t0", "t1", 100.0 / count) : Sheets.taxon("t" + k, 100.0 / count));
        }
        return taxa;
    }

    private static DiagnosticCharacter character(Random random, String id, int taxa) {
        Sheets.CharacterBuilder builder = Sheets.character(id)
                .organ(ORGANS[random.nextInt(ORGANS.length)], Zone.values()[random.nextInt(5)])
                .trust(new Trust(random.nextDouble(), Map.of(), Sheets.ALL_YEAR, Map.of(), Map.of(), Map.of()))
                .replication(1 + random.nextInt(8), random.nextDouble())
                .effort(1 + random.nextInt(5), Harm.values()[random.nextInt(3)])
                .absence(Absence.values()[random.nextInt(2)]);
        if (random.nextInt(4) == 0) {
            builder.cluster("k" + random.nextInt(2));
        }
        int given = taxa >= 3 && random.nextBoolean() ? taxa - 1 : taxa; // the hybrid's may be left out
        return random.nextBoolean() ? states(random, builder, given) : numbers(random, builder, given);
    }

    private static DiagnosticCharacter states(Random random, Sheets.CharacterBuilder builder, int taxa) {
        String[] ids = random.nextBoolean() ? new String[] {"absent", "x"} : new String[] {"x", "y", "z", "absent"};
        if (random.nextBoolean()) {
            builder.ordered(ids);
        } else {
            builder.states(ids);
        }
        for (int k = 0; k < taxa; k++) {
            double[] frequencies = new double[ids.length];
            double total = 0;
            for (int s = 0; s < ids.length; s++) {
                frequencies[s] = random.nextInt(4) == 0 ? 0 : random.nextDouble();
                total += frequencies[s];
            }
            for (int s = 0; s < ids.length; s++) {
                frequencies[s] = total > 0 ? frequencies[s] / total : s == 0 ? 1 : 0;
            }
            builder.in("t" + k, frequencies);
        }
        return builder.build();
    }

    private static DiagnosticCharacter numbers(Random random, Sheets.CharacterBuilder builder, int taxa) {
        Measure measure = Measure.values()[random.nextInt(Measure.values().length)];
        builder.numbers(measure);
        boolean narrow = random.nextInt(5) == 0;
        for (int k = 0; k < taxa; k++) {
            double low = random.nextInt(20);
            double step = narrow ? 0 : 1;
            double r1 = low + step * random.nextInt(3);
            double r2 = r1 + step * random.nextInt(6);
            builder.range("t" + k, low, r1, r2, r2 + step * random.nextInt(3));
        }
        return builder.build();
    }

    /** Readings of most characters, some of them far off. */
    public static List<Observation> readings(Random random, GroupSheet sheet, int replicates) {
        List<Observation> readings = new ArrayList<>();
        for (DiagnosticCharacter character : sheet.characters()) {
            if (random.nextInt(4) > 0) {
                Certainty certainty = Certainty.values()[random.nextInt(3)];
                readings.add(new Reading(
                        character.id(),
                        observed(random, character, replicates),
                        certainty,
                        Optional.empty(),
                        Optional.empty()));
            }
        }
        return readings;
    }

    private static Observed observed(Random random, DiagnosticCharacter character, int replicates) {
        if (character.scale() instanceof StateScale scale) {
            List<String> states = new ArrayList<>();
            for (int n = 0; n < replicates; n++) {
                List<State> all = scale.states();
                states.add(all.get(random.nextInt(all.size())).id());
            }
            return new StatesObserved(states);
        }
        boolean count = ((NumberScale) character.scale()).isCount();
        List<Double> values = new ArrayList<>();
        for (int n = 0; n < replicates; n++) {
            double value = random.nextInt(10) == 0 ? 1e6 : random.nextDouble() * 25;
            values.add(count ? Math.rint(value) : value);
        }
        return new ValuesObserved(values);
    }
}
