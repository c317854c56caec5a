package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.RefusedException;

/**
 * The lines of a map, such as a coast or tracks: of RFC 7946, those of line strings and the rings of polygons.
 *
 * @param lines each of two or more points, each of those a longitude and a latitude in degrees
 */
public record MapLines(List<List<List<Double>>> lines) {
    private static final int MOST_POINTS = 20_000;
    private static final int LONGEST_FILE = 4 * 1024 * 1024; // bytes
    private static final int DEEPEST = 32;
    private static final double FINEST = 1e6; // a tenth of a metre is more than a map of plots shows

    private static final ObjectMapper JSON = new ObjectMapper(JsonFactory.builder()
            .streamReadConstraints(
                    StreamReadConstraints.builder().maxNestingDepth(DEEPEST).build())
            .build());

    /**
     * Reads them; points and properties are left out.
     *
     * @throws RefusedException if it is no GeoJSON, has no line, or is too large for a map to be read
     */
    public static MapLines read(InputStream content) throws IOException {
        byte[] bytes = content.readNBytes(LONGEST_FILE + 1);
        if (bytes.length > LONGEST_FILE) {
            throw RefusedException.of("", "more than 4 MB", "a simplified map of at most 4 MB");
        }
        List<List<List<Double>>> lines = new ArrayList<>();
        try {
            add(JSON.readTree(bytes), lines);
        } catch (JsonProcessingException broken) {
            throw RefusedException.of("", "no JSON: " + broken.getOriginalMessage(), "a map as GeoJSON");
        }
        MapLines read = new MapLines(lines);
        if (lines.isEmpty()) {
            throw RefusedException.of("", "no line and no area", "a map as GeoJSON with lines or areas");
        }
        if (read.points() > MOST_POINTS) {
            throw RefusedException.of(
                    "", read.points() + " points", "at most " + MOST_POINTS + "; simplify the lines first");
        }
        return read;
    }

    /** How many points they have in all. */
    public int points() {
        return lines.stream().mapToInt(List::size).sum();
    }

    private static void add(JsonNode node, List<List<List<Double>>> lines) {
        switch (node.path("type").asText()) {
            case "FeatureCollection" -> node.path("features").forEach(one -> add(one, lines));
            case "Feature" -> add(node.path("geometry"), lines);
            case "GeometryCollection" -> node.path("geometries").forEach(one -> add(one, lines));
            case "LineString" -> addLine(node.path("coordinates"), lines);
            case "MultiLineString", "Polygon" -> node.path("coordinates").forEach(one -> addLine(one, lines));
            case "MultiPolygon" -> node.path("coordinates").forEach(area -> area.forEach(one -> addLine(one, lines)));
            default -> {} // points, and features that lie nowhere
        }
    }

    private static void addLine(JsonNode coordinates, List<List<List<Double>>> lines) {
        List<List<Double>> line = new ArrayList<>();
        for (JsonNode point : coordinates) {
            double longitude = point.path(0).asDouble(Double.NaN);
            double latitude = point.path(1).asDouble(Double.NaN);
            if (!(Math.abs(longitude) <= 180 && Math.abs(latitude) <= 90)) {
                throw RefusedException.of(
                        "line " + (lines.size() + 1),
                        "the point " + point,
                        "longitudes and latitudes in degrees, WGS 84");
            }
            line.add(List.of(rounded(longitude), rounded(latitude)));
        }
        if (line.size() > 1) {
            lines.add(line);
        }
    }

    private static double rounded(double degrees) {
        return Math.round(degrees * FINEST) / FINEST;
    }
}
