package org.goldthistle.formats.plain;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.formats.Expectation;
import org.goldthistle.formats.Specimen;

/** Reads a specimen from plain values; the format is described in {@code docs/group-sheet.md}. */
public final class SpecimenReader {
    private SpecimenReader() {}

    /** @throws RefusedException with every place where it breaks the format */
    public static Specimen read(Object value) {
        List<Refusal> refusals = new ArrayList<>();
        Specimen specimen = specimen(Fields.top(value, refusals));
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        return specimen;
    }

    private static Specimen specimen(Fields fields) {
        String id = fields.text("id");
        Context context = context(fields.object("context"));
        List<Observation> observations = fields.objects("observations", false, SpecimenReader::observation);
        List<GateMark> gate = fields.objects("gate", true, SpecimenReader::gateMark);
        Optional<String> truth = fields.optionalText("truth");
        Optional<Expectation> expect = fields.optionalCoded("expect", Expectation.values());
        return fields.build(() -> new Specimen(id, context, observations, gate, truth, expect));
    }

    private static Context context(Fields fields) {
        int month = fields.integer("month");
        LifeStage stage = fields.coded("stage", LifeStage.values());
        TreeOrigin origin = fields.coded("origin", TreeOrigin.values());
        Set<Habitat> habitat = EnumSet.noneOf(Habitat.class);
        if (fields.has("habitat")) {
            fields.codedList("habitat", Habitat.values()).stream()
                    .filter(key -> key != null)
                    .forEach(habitat::add);
        }
        Optional<Material> material = fields.optionalCoded("material", Material.values());
        Optional<Position> position = fields.optionalCoded("position", Position.values());
        Map<String, Integer> records = fields.integersByKey("records");
        Set<Faculty> lacking = EnumSet.noneOf(Faculty.class);
        if (fields.has("lacking")) {
            fields.codedList("lacking", Faculty.values()).stream()
                    .filter(faculty -> faculty != null)
                    .forEach(lacking::add);
        }
        return fields.build(() -> new Context(month, stage, origin, habitat, material, position, records, lacking));
    }

    private static Observation observation(Fields fields) {
        String character = fields.text("character");
        OptionalInt month = fields.has("month") ? OptionalInt.of(fields.integer("month")) : OptionalInt.empty();
        if (fields.has("notSeen") && fields.flag("notSeen")) {
            boolean notBorne = fields.has("notBorne") && fields.flag("notBorne");
            return fields.build(() -> new NotSeen(character, month, notBorne));
        }
        Observed observed = observed(fields);
        Certainty certainty =
                fields.optionalCoded("certainty", Certainty.values()).orElse(Certainty.ASSUMED);
        Optional<Material> material = fields.optionalCoded("material", Material.values());
        Optional<Position> position = fields.optionalCoded("position", Position.values());
        return fields.build(() -> new Reading(character, observed, certainty, material, position, month));
    }

    private static Observed observed(Fields fields) {
        if (fields.has("values")) {
            List<Double> values = fields.numbers("values");
            return fields.build(() -> new ValuesObserved(values));
        }
        if (fields.has("states")) {
            List<String> states = fields.texts("states");
            return fields.build(() -> new StatesObserved(states));
        }
        String state = fields.text("state");
        return fields.build(() -> new StatesObserved(List.of(state)));
    }

    private static GateMark gateMark(Fields fields) {
        String item = fields.text("item");
        boolean fits = fields.flag("fits");
        return fields.build(() -> new GateMark(item, fits));
    }
}
