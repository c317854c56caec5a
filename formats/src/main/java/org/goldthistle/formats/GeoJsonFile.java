package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.RefusedException;

/** A map in a text file: a feature collection of RFC 7946 whose features are points, read one at a time. */
public final class GeoJsonFile implements RowFile {
    /** Heading of where a feature lies, degrees north. */
    public static final String POINT_LATITUDE = "point latitude";
    /** Heading of where a feature lies, degrees east. */
    public static final String POINT_LONGITUDE = "point longitude";

    private static final int LONGEST_TEXT = 10_000; // characters, as in a table's cell
    private static final int DEEPEST = 64;
    private static final JsonFactory FACTORY = JsonFactory.builder()
            .streamReadConstraints(StreamReadConstraints.builder()
                    .maxStringLength(LONGEST_TEXT)
                    .maxNestingDepth(DEEPEST)
                    .build())
            .build();
    private static final ObjectMapper JSON = new ObjectMapper();

    private final JsonParser parser;
    private final Set<String> headings = new LinkedHashSet<>();
    private long place;

    private GeoJsonFile(JsonParser parser) {
        this.parser = parser;
    }

    /** @throws RefusedException if it is no feature collection */
    public static GeoJsonFile open(InputStream content) throws IOException {
        GeoJsonFile file = new GeoJsonFile(FACTORY.createParser(content));
        file.findFeatures();
        return file;
    }

    private void findFeatures() throws IOException {
        try {
            boolean isObject = parser.nextToken() == JsonToken.START_OBJECT;
            while (isObject && parser.nextToken() == JsonToken.FIELD_NAME) {
                String name = parser.currentName();
                JsonToken value = parser.nextToken();
                if (name.equals("features") && value == JsonToken.START_ARRAY) {
                    return;
                }
                parser.skipChildren();
            }
        } catch (JsonProcessingException broken) {
            throw broken(broken);
        }
        throw RefusedException.of("", "no list of features", "a GeoJSON feature collection");
    }

    @Override
    public List<String> headings() {
        return List.copyOf(headings);
    }

    @Override
    public Optional<FileRow> next() throws IOException {
        try {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                return Optional.empty();
            }
            place++;
            FileRow row = row(JSON.readTree(parser));
            headings.addAll(row.cells().keySet());
            return Optional.of(row);
        } catch (JsonProcessingException broken) {
            throw broken(broken);
        }
    }

    private FileRow row(JsonNode feature) {
        Map<String, String> cells = new LinkedHashMap<>();
        feature.path("properties").properties().forEach(property -> {
            String text = text(property.getValue());
            if (text.indexOf('\0') >= 0) {
                throw RefusedException.of("feature " + place, "the character NUL, which no text has", "text");
            }
            if (!text.isEmpty()) {
                cells.put(property.getKey(), text);
            }
        });
        JsonNode geometry = feature.path("geometry");
        JsonNode coordinates = geometry.path("coordinates");
        boolean isPoint = geometry.path("type").asText().equals("Point")
                && coordinates.path(0).isNumber()
                && coordinates.path(1).isNumber();
        if (isPoint) {
            cells.put(POINT_LONGITUDE, coordinates.path(0).asText());
            cells.put(POINT_LATITUDE, coordinates.path(1).asText());
        }
        boolean fits = isPoint || geometry.isNull() || geometry.isMissingNode();
        return new FileRow(
                place, cells, fits ? Optional.empty() : Optional.of("its geometry is neither a point nor null"));
    }

    private static String text(JsonNode value) {
        if (value.isArray()) {
            List<String> parts = new ArrayList<>();
            value.forEach(part -> {
                if (part.isValueNode()) { // a list of things that have keys of their own is no cell of a row
                    parts.add(part.asText());
                }
            });
            return String.join(";", parts);
        }
        return value.isNull() ? "" : value.asText().strip();
    }

    private static RefusedException broken(JsonProcessingException broken) {
        JsonLocation at = broken.getLocation();
        return RefusedException.of(
                at == null ? "" : "line " + at.getLineNr() + ", column " + at.getColumnNr(),
                broken instanceof StreamConstraintsException
                        ? "something longer or deeper than is read"
                        : "something that is no JSON",
                "a GeoJSON file in UTF-8, with texts of at most " + LONGEST_TEXT + " letters");
    }

    @Override
    public void close() throws IOException {
        parser.close();
    }
}
