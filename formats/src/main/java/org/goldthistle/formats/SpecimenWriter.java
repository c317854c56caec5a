package org.goldthistle.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Collection;
import java.util.List;
import org.goldthistle.core.Coded;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.ValuesObserved;

/** Writes specimens as {@link SpecimenJson} reads them; the format is described in {@code docs/group-sheet.md}. */
public final class SpecimenWriter {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private SpecimenWriter() {}

    /** Specimens as the text of a file. */
    public static String text(List<Specimen> specimens) {
        ArrayNode all = JSON.arrayNode();
        specimens.forEach(specimen -> all.add(tree(specimen)));
        return all.toPrettyString() + "\n";
    }

    private static ObjectNode tree(Specimen specimen) {
        ObjectNode node = JSON.objectNode();
        node.put("id", specimen.id());
        node.set("context", context(specimen.context()));
        ArrayNode observations = node.putArray("observations");
        specimen.observations().forEach(one -> observations.add(observation(one)));
        if (!specimen.gate().isEmpty()) {
            ArrayNode gate = node.putArray("gate");
            specimen.gate()
                    .forEach(mark -> gate.addObject().put("item", mark.item()).put("fits", mark.fits()));
        }
        specimen.truth().ifPresent(truth -> node.put("truth", truth));
        specimen.expect().ifPresent(expect -> node.put("expect", expect.code()));
        return node;
    }

    private static ObjectNode context(Context context) {
        ObjectNode node = JSON.objectNode();
        node.put("month", context.month());
        node.put("stage", context.stage().code());
        node.put("origin", context.origin().code());
        putCodes(node, "habitat", context.habitat());
        context.material().ifPresent(material -> node.put("material", material.code()));
        context.position().ifPresent(position -> node.put("position", position.code()));
        if (!context.records().isEmpty()) {
            ObjectNode records = node.putObject("records");
            context.records().forEach(records::put);
        }
        putCodes(node, "lacking", context.lacking());
        return node;
    }

    private static void putCodes(ObjectNode node, String key, Collection<? extends Coded> codes) {
        if (!codes.isEmpty()) {
            ArrayNode list = node.putArray(key);
            codes.stream().map(Coded::code).sorted().forEach(list::add);
        }
    }

    private static ObjectNode observation(Observation observation) {
        ObjectNode node = JSON.objectNode();
        node.put("character", observation.character());
        if (observation instanceof NotSeen passed) {
            node.put("notSeen", true);
            if (passed.notBorne()) {
                node.put("notBorne", true);
            }
        } else if (observation instanceof Reading reading) {
            if (reading.observed() instanceof StatesObserved seen) {
                ArrayNode states = node.putArray("states");
                seen.states().forEach(states::add);
            } else if (reading.observed() instanceof ValuesObserved seen) {
                ArrayNode values = node.putArray("values");
                seen.values().forEach(values::add);
            }
            node.put("certainty", reading.certainty().code());
            reading.material().ifPresent(material -> node.put("material", material.code()));
            reading.position().ifPresent(position -> node.put("position", position.code()));
        }
        observation.month().ifPresent(month -> node.put("month", month));
        return node;
    }
}
