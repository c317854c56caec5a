package org.goldthistle.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.Finding;

/** What goes to a laboratory and what comes of it, version 1; the format is described in {@code docs/laboratory.md}. */
public final class LaboratoryJson {
    /** The version of all of its messages. */
    public static final int VERSION = 1;

    private static final double LARGEST_ERROR = 0.5;
    private static final String FOUND = "found";

    private LaboratoryJson() {}

    /** A parcel as it is announced. */
    public static String parcel(String code, List<SampleSent> samples) {
        ObjectNode message = JsonFile.MAPPER.createObjectNode();
        message.put("version", VERSION).put("parcel", code);
        ArrayNode all = message.putArray("samples");
        for (SampleSent sample : samples) {
            ObjectNode one = all.addObject();
            one.put("code", sample.code())
                    .put("tissue", sample.tissue().code())
                    .put("takenOn", sample.takenOn())
                    .put("analysis", sample.analysis().code());
            sample.taxa().forEach(one.putArray("taxa")::add);
            if (!sample.parents().isEmpty()) {
                sample.parents().forEach(one.putArray("parents")::add);
            }
        }
        return message.toString();
    }

    /**
     * The receipt of a parcel.
     *
     * @throws RefusedException if that is none
     */
    public static String receipt(String text) {
        JsonNode message = message(text);
        String receipt = message.path("receipt").asText();
        if (receipt.isBlank()) {
            throw refused("receipt", message.path("receipt"), "the receipt's number");
        }
        return receipt;
    }

    /** @throws RefusedException with everything that is none of a laboratory's methods */
    public static LaboratoryMethods methods(String text) {
        JsonNode message = message(text);
        var refusals = new Refusals();
        String name = message.path("laboratory").asText();
        refusals.requireText(name, "laboratory");
        Map<Analysis, Double> errors = new EnumMap<>(Analysis.class);
        int i = 0;
        for (JsonNode one : message.path("methods")) {
            String place = "methods[" + i++ + "]";
            Optional<Analysis> analysis =
                    Coded.find(Analysis.values(), one.path("analysis").asText());
            double error = one.path("error").asDouble(Double.NaN);
            refusals.require(
                    error > 0 && error < LARGEST_ERROR,
                    place + ".error",
                    one.path("error"),
                    "how often it errs, above 0 and below 0.5");
            analysis.ifPresent(known -> errors.put(known, error)); // others are of no use to us
        }
        Map<String, Set<Integer>> sets = new LinkedHashMap<>();
        message.path("sets").properties().forEach(taxon -> {
            Set<Integer> has = new TreeSet<>();
            taxon.getValue().forEach(number -> has.add(number.asInt()));
            sets.put(taxon.getKey(), has);
        });
        refusals.throwIfAny();
        return new LaboratoryMethods(name, errors, sets);
    }

    /**
     * A message of a laboratory.
     *
     * @param number by which it is known; later messages have higher ones
     * @param text as it came
     */
    public record Numbered(long number, String text) {}

    /**
     * The messages that came; each is read by itself, so that one that nobody understands holds no other up.
     *
     * @throws RefusedException if there is no list of numbered messages
     */
    public static List<Numbered> results(String text) {
        JsonNode message = message(text);
        if (!message.path("results").isArray()) {
            throw RefusedException.of(
                    "results", String.valueOf(message.path("results").getNodeType()), "a list");
        }
        List<Numbered> all = new ArrayList<>();
        for (JsonNode one : message.path("results")) {
            if (!one.path("number").canConvertToExactIntegral()) {
                throw refused("results[" + all.size() + "].number", one.path("number"), "a whole number");
            }
            all.add(new Numbered(one.path("number").asLong(), one.toString()));
        }
        return all;
    }

    /**
     * What one message says.
     *
     * @param methods of the laboratory, for what it counts against
     * @throws RefusedException with everything that cannot be understood
     */
    public static LaboratoryResult result(String text, LaboratoryMethods methods) {
        JsonNode message = JsonFile.parse(text);
        String sample = message.path("sample").asText();
        Analysis analysis = Coded.find(
                        Analysis.values(), message.path("analysis").asText())
                .orElseThrow(() -> refused("analysis", message.path("analysis"), Coded.codes(Analysis.values())));
        if (sample.isBlank() || isUnprintable(sample)) {
            throw refused("sample", message.path("sample"), "the code on its label");
        }
        String failed = message.path("failed").asText();
        if (isUnprintable(failed)) {
            throw refused("failed", message.path("failed"), "a text that can be printed");
        }
        if (!failed.isBlank()) {
            return new LaboratoryResult(sample, analysis, Optional.empty(), failed);
        }
        return new LaboratoryResult(sample, analysis, Optional.of(finding(analysis, message.path(FOUND), methods)), "");
    }

    private static Finding finding(Analysis analysis, JsonNode found, LaboratoryMethods methods) {
        return switch (analysis) {
            case PLOIDY -> new Finding.Ploidy(whole(found, "sets"), number(found, "variation"), methods.sets());
            case MARKERS ->
                new Finding.MarkerShare(
                        text(found, "first"),
                        text(found, "second"),
                        number(found, "share"),
                        number(found, "low"),
                        number(found, "high"));
            case SEQUENCE -> new Finding.Sequenced(text(found, "taxon"), number(found, "support"));
        };
    }

    private static boolean isUnprintable(String text) {
        return text.chars().anyMatch(Character::isISOControl);
    }

    private static double number(JsonNode found, String key) {
        if (!found.path(key).isNumber()) {
            throw refused(FOUND + "." + key, found.path(key), "a number");
        }
        return found.path(key).asDouble();
    }

    private static int whole(JsonNode found, String key) {
        if (!found.path(key).isIntegralNumber() || !found.path(key).canConvertToInt()) {
            throw refused(FOUND + "." + key, found.path(key), "a whole number");
        }
        return found.path(key).asInt();
    }

    private static String text(JsonNode found, String key) {
        if (!found.path(key).isTextual() || isUnprintable(found.path(key).asText())) {
            throw refused(FOUND + "." + key, found.path(key), "a text that can be printed");
        }
        return found.path(key).asText();
    }

    private static RefusedException refused(String key, JsonNode found, String expected) {
        return RefusedException.of(key, found.isMissingNode() ? "nothing" : found.toString(), expected);
    }

    private static JsonNode message(String text) {
        JsonNode message = JsonFile.parse(text);
        if (message.path("version").asInt() != VERSION) {
            throw refused("version", message.path("version"), "version " + VERSION);
        }
        return message;
    }
}
