package org.goldthistle.formats;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectWriter;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.DecimalNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.School;

/** Writes and reads the file of a settled review, whose schema is {@code case-file.schema.json}. */
public final class CaseFileJson {
    /** The word in {@code format} that such a file starts with. */
    public static final String FORMAT = "goldthistle-case/1";

    private static final ObjectWriter CANONICAL = JsonMapper.builder()
            .enable(JsonNodeFeature.WRITE_PROPERTIES_SORTED)
            .build()
            .writer();
    private static final SchemaFile SCHEMA = SchemaFile.of("/case-file.schema.json");

    private CaseFileJson() {}

    /**
     * What was in a file.
     *
     * @param specimens the readings, one an observer
     * @param shares of belief with the surroundings as they were recorded, by observer and taxon
     * @param intact whether the print fits the data
     */
    public record CaseFile(
            GroupSheet sheet,
            List<Specimen> specimens,
            Optional<School> school,
            Map<String, Map<String, Double>> shares,
            boolean intact) {}

    /** A file of these data, with their print. */
    public static JsonNode of(ObjectNode data) {
        ObjectNode file = JsonFile.MAPPER.createObjectNode();
        file.put("format", FORMAT);
        file.put("sha256", print(data));
        file.set("data", data);
        return file;
    }

    /** Whether a text looks like such a file. */
    public static boolean isCaseFile(String text) {
        return text.stripLeading().startsWith("{") && text.contains("\"" + FORMAT + "\"");
    }

    /**
     * Reads a file.
     *
     * @throws RefusedException with every place where it breaks the schema, or the format of sheets or specimens
     */
    public static CaseFile read(String text) {
        JsonNode file = JsonFile.parse(text);
        List<Refusal> breaks = SCHEMA.breaks(file);
        if (!breaks.isEmpty()) {
            throw new RefusedException(breaks);
        }
        JsonNode data = file.path("data");
        Map<String, Map<String, Double>> shares = new LinkedHashMap<>();
        for (JsonNode reading : data.at("/case/readings")) {
            Map<String, Double> byTaxon = new LinkedHashMap<>();
            for (JsonNode share : reading.at("/determination/figures/withSurroundings/shares")) {
                byTaxon.put(
                        share.path("taxon").asText(), share.path("posterior").asDouble());
            }
            shares.put(reading.path("observer").asText(), byTaxon);
        }
        return new CaseFile(
                GroupSheetJson.read(data.at("/sheet/body").toString()),
                SpecimenJson.readAll(data.path("specimens").toString()),
                data.has("school")
                        ? Coded.find(School.values(), data.path("school").asText())
                        : Optional.empty(),
                shares,
                print(data).equals(file.path("sha256").asText()));
    }

    /** The same data with every number as a decimal without trailing zeros, however it was spelt. */
    private static JsonNode plain(JsonNode node) {
        if (node.isNumber()) {
            return DecimalNode.valueOf(new BigDecimal(node.asText()).stripTrailingZeros());
        }
        if (node.isArray()) {
            ArrayNode all = JsonFile.MAPPER.createArrayNode();
            node.forEach(one -> all.add(plain(one)));
            return all;
        }
        if (node.isObject()) {
            ObjectNode all = JsonFile.MAPPER.createObjectNode();
            node.properties().forEach(field -> all.set(field.getKey(), plain(field.getValue())));
            return all;
        }
        return node;
    }

    private static String print(JsonNode data) {
        try {
            byte[] text = CANONICAL.writeValueAsString(plain(data)).getBytes(StandardCharsets.UTF_8);
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(text));
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("a JSON tree can be written", broken);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("every Java has SHA-256", missing);
        }
    }
}
