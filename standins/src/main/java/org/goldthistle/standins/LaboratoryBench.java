package org.goldthistle.standins;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;

/** What the laboratory's people do with a bag: they find what is in it, but for the errors that they publish. */
final class LaboratoryBench {
    static final JsonMapper JSON = new JsonMapper();

    /** How often each analysis is wrong. */
    static final Map<String, Double> ERRORS = Map.of("ploidy", 0.02, "markers", 0.008, "sequence", 0.008);

    /** How often nothing comes of a sample. */
    static final double FAILS = 0.06;

    private static final int COMMON_SETS = 2;
    private static final double HALF = 0.5;

    private final JsonNode sets;
    private final Random random;

    /** @param sets of chromosomes by scientific name */
    LaboratoryBench(JsonNode sets, long seed) {
        this.sets = sets;
        this.random = new Random(seed);
    }

    /**
     * Works on one sample.
     *
     * @param sample as the parcel's list has it
     * @param inBag scientific name of what was cut; empty: the bag is empty
     */
    ObjectNode work(JsonNode sample, String inBag) {
        String analysis = sample.path("analysis").asText();
        ObjectNode result = JSON.createObjectNode();
        result.set("sample", sample.path("code"));
        result.put("analysis", analysis);
        if (inBag.isEmpty()) {
            return result.put("failed", "the bag was empty");
        }
        if (random.nextDouble() < FAILS) {
            return result.put("failed", "too little DNA of use");
        }
        boolean errs = random.nextDouble() < ERRORS.getOrDefault(analysis, 0.0);
        List<String> taxa = new ArrayList<>();
        sample.path("taxa").forEach(name -> taxa.add(name.asText()));
        return switch (analysis) {
            case "ploidy" -> ploidy(result, inBag, errs);
            case "markers" ->
                taxa.contains(inBag)
                        ? markers(result, sample.path("parents"), inBag, errs)
                        : result.put("failed", "the markers are of neither parent");
            case "sequence" -> sequence(result, taxa, inBag, errs);
            default -> result.put("failed", "we do not make this analysis");
        };
    }

    private ObjectNode ploidy(ObjectNode result, String inBag, boolean errs) {
        JsonNode has = sets.path(inBag);
        int truly = has.isEmpty()
                ? COMMON_SETS
                : has.get(random.nextInt(has.size())).asInt();
        int wrong = truly + (random.nextBoolean() && truly > COMMON_SETS ? -1 : 1);
        result.putObject("found")
                .put("sets", errs ? wrong : truly)
                .put("variation", rounded(0.02 + 0.03 * random.nextDouble()));
        return result;
    }

    /** A pure tree has next to nothing of the other parent; whatever else is on the list is a hybrid of the two. */
    private ObjectNode markers(ObjectNode result, JsonNode parents, String inBag, boolean errs) {
        double truly = inBag.equals(parents.path(0).asText())
                ? 0.02
                : inBag.equals(parents.path(1).asText()) ? 0.98 : HALF;
        if (errs) {
            truly = truly == HALF ? (random.nextBoolean() ? 0.02 : 0.98) : HALF;
        }
        double share = Math.min(1, Math.max(0, truly + (truly == HALF ? 0.05 : 0.01) * random.nextGaussian()));
        double apart = truly == HALF ? 0.12 : 0.04;
        ObjectNode found = result.putObject("found");
        found.set("first", parents.path(0));
        found.set("second", parents.path(1));
        found.put("share", rounded(share))
                .put("low", rounded(Math.max(0, share - apart)))
                .put("high", rounded(Math.min(1, share + apart)));
        return result;
    }

    /** Wrong, it names another of the list, or something that is not on it. */
    private ObjectNode sequence(ObjectNode result, List<String> taxa, String inBag, boolean errs) {
        String named = inBag;
        if (errs) {
            List<String> others = new ArrayList<>(taxa);
            others.remove(inBag);
            others.add("Carpinus betulus");
            named = others.get(random.nextInt(others.size()));
        }
        result.putObject("found").put("taxon", named).put("support", rounded(0.9 + 0.1 * random.nextDouble()));
        return result;
    }

    private static double rounded(double value) {
        return Math.round(value * 1000) / 1000.0;
    }

    /** What it publishes of itself. */
    ObjectNode methods(int version) {
        ObjectNode published = JSON.createObjectNode();
        published.put("version", version).put("laboratory", "Saltmarsh Plant Laboratory");
        ArrayNode methods = published.putArray("methods");
        ERRORS.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(one -> methods.addObject()
                        .put("analysis", one.getKey())
                        .put("error", one.getValue())
                        .put("fails", FAILS));
        published.set("sets", sets);
        return published;
    }
}
