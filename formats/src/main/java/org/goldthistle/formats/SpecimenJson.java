package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MappingIterator;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
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

/** Reads specimens from their JSON; the format is described in {@code docs/group-sheet.md}. */
public final class SpecimenJson {
    private SpecimenJson() {}

    /**
     * Reads a list of specimens.
     *
     * @throws RefusedException with every place where the text breaks the format
     */
    public static List<Specimen> readAll(String text) {
        JsonNode node = JsonFile.parse(text);
        if (!node.isArray()) {
            throw RefusedException.of("", "no list", "a list of specimens in [ ]");
        }
        List<Refusal> refusals = new ArrayList<>();
        List<Specimen> specimens = new ArrayList<>();
        int i = 0;
        for (JsonNode element : node) {
            String place = "[" + i++ + "]";
            try {
                specimens.add(read(element));
            } catch (RefusedException refused) {
                refused.refusals().forEach(refusal -> refusals.add(refusal.within(place)));
            }
        }
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        return specimens;
    }

    /**
     * Reads specimens one after the other, so that a file may be of any length: a list in [ ], or one object after the
     * other. A specimen that breaks the format is handed on as what is wrong with it; the rest go on.
     *
     * @throws IOException if the source cannot be read
     * @throws RefusedException if the text stops being JSON, since nothing after that place can be read
     */
    public static void stream(Reader source, Consumer<Specimen> use, BiConsumer<String, RefusedException> refused)
            throws IOException {
        int i = 0;
        try (MappingIterator<JsonNode> nodes =
                JsonFile.MAPPER.readerFor(JsonNode.class).readValues(source)) {
            while (nodes.hasNextValue()) {
                JsonNode node = nodes.nextValue();
                try {
                    use.accept(read(node));
                } catch (RefusedException broken) {
                    String id = node.path("id").isTextual() ? node.path("id").asText() : "[" + i + "]";
                    refused.accept(id, broken);
                }
                i++;
            }
        } catch (JsonProcessingException broken) {
            throw JsonFile.refusal(broken);
        }
    }

    private static Specimen read(JsonNode node) {
        List<Refusal> refusals = new ArrayList<>();
        Specimen specimen = specimen(JsonFields.top(node, refusals));
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        return specimen;
    }

    private static Specimen specimen(JsonFields fields) {
        String id = fields.text("id");
        Context context = context(fields.object("context"));
        List<Observation> observations = fields.objects("observations", false, SpecimenJson::observation);
        List<GateMark> gate = fields.objects("gate", true, SpecimenJson::gateMark);
        Optional<String> truth = fields.optionalText("truth");
        Optional<Expectation> expect = fields.optionalCoded("expect", Expectation.values());
        return fields.build(() -> new Specimen(id, context, observations, gate, truth, expect));
    }

    private static Context context(JsonFields fields) {
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

    private static Observation observation(JsonFields fields) {
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

    private static Observed observed(JsonFields fields) {
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

    private static GateMark gateMark(JsonFields fields) {
        String item = fields.text("item");
        boolean fits = fields.flag("fits");
        return fields.build(() -> new GateMark(item, fits));
    }
}
