package org.goldthistle.control;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiFunction;
import org.goldthistle.Caller;

/** Brings a black cherry through two blind readings for control; how a tree is read is handed in. */
public final class ClearTree {
    private ClearTree() {}

    /** What is read of it, in this order: states by character. */
    public static final List<Map.Entry<String, String>> READ = List.of(
            Map.entry("bark-surface", "scaly"),
            Map.entry("fruit-collar", "star-collar"),
            Map.entry("midrib-hairs", "rusty-fringe"),
            Map.entry("tooth-shape", "incurved"));

    /**
     * Reads a tree for control, and tells the ids of what counts.
     *
     * @param read reads a state of a character and answers with the Bench
     */
    public static List<String> read(Caller caller, String treePath, BiFunction<String, String, JsonNode> read) {
        caller.put(treePath + "/tier", Map.of("tier", "control")).expect(200);
        JsonNode bench = null;
        for (Map.Entry<String, String> one : READ) {
            bench = read.apply(one.getKey(), one.getValue());
        }
        List<String> ids = new ArrayList<>();
        bench.path("readings").forEach(one -> ids.add(one.path("id").asText()));
        return ids;
    }

    /** The row of a tree in the control list; null: it is not there. */
    public static JsonNode row(Caller caller, String surveyPath, UUID tree) {
        return find(caller.get(surveyPath + "/control").expect(200).path("trees"), tree);
    }

    /** The card of a tree; null: there is none. */
    public static JsonNode card(Caller caller, UUID tree) {
        return find(caller.get("/api/control/cards").expect(200), tree);
    }

    private static JsonNode find(JsonNode among, UUID tree) {
        for (JsonNode one : among) {
            if (one.path("treeId").asText().equals(tree.toString())) {
                return one;
            }
        }
        return null;
    }
}
