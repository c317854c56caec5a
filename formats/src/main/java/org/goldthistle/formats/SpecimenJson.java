package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MappingIterator;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.formats.plain.SpecimenReader;

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
                specimens.add(SpecimenReader.read(JsonFile.plain(element)));
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
                    use.accept(SpecimenReader.read(JsonFile.plain(node)));
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
}
