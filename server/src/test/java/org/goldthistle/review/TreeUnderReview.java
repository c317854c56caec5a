package org.goldthistle.review;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.BeforeEach;

/** A bird cherry in a plot of its own, and what readers and reviewers do to it. */
public abstract class TreeUnderReview extends ServerTest {
    /** What the first reader made of the tree; none of it may reach whoever reads it blind. */
    protected static final List<String> WORDS = List.of("a collar on every fruit", "twig of the second branch");

    protected static final List<String> SECRETS = List.of(WORDS.get(0), WORDS.get(1), "serotina", "black cherry");

    protected final UUID plot = UUID.randomUUID();

    protected UUID tree;

    @BeforeEach
    void a_tree_of_its_own() {
        tree = UUID.randomUUID();
        plant(signedIn("Siskin"), plot, tree, "bird-cherries");
    }

    protected JsonNode rowOf(Caller caller) {
        for (int from = 0; ; from += 30) {
            JsonNode page = caller.get(surveyPath() + "/review?from=" + from).expect(200);
            for (JsonNode row : page.path("rows")) {
                if (row.path("treeId").asText().equals(tree.toString())) {
                    return row;
                }
            }
            assertThat(page.has("next")).as("another page").isTrue();
        }
    }

    protected static String casePath(JsonNode row) {
        return surveyPath() + "/review/" + row.path("id").asText();
    }

    protected static String decision(JsonNode row) {
        return casePath(row) + "/decisions/" + UUID.randomUUID();
    }

    protected static Map<String, Object> decision(String outcome, JsonNode table, String reasons, int stands) {
        return Map.of(
                "outcome",
                outcome,
                "stands",
                table.at("/readings/" + stands + "/determination/id").asText(),
                "reasons",
                reasons,
                "version",
                table.path("version").asInt());
    }

    protected String treePath() {
        return surveyPath() + "/trees/" + tree;
    }

    /** Reads what settles a bird cherry, and signs. */
    protected void sign(Caller caller, String outcome, String taxon) {
        List<String> ids = new ArrayList<>();
        for (JsonNode one : caller.get(treePath() + "/bench").expect(200).path("readings")) {
            ids.add(one.path("id").asText());
        }
        if (ids.isEmpty()) {
            markGate(caller, treePath());
            read(caller, "fruit-collar", "star-collar");
            read(caller, "midrib-hairs", "rusty-fringe");
            JsonNode bench = read(caller, "tooth-shape", "incurved");
            for (JsonNode one : bench.path("readings")) {
                ids.add(one.path("id").asText());
            }
        }
        Map<String, Object> signed = signature(outcome, taxon, ids);
        caller.put(treePath() + "/determinations/" + UUID.randomUUID(), signed).expect(200);
    }

    /** The signature of somebody who has read the tree as a black cherry, before it is sent. */
    protected Map<String, Object> signature(Caller caller) {
        List<String> ids = new ArrayList<>();
        markGate(caller, treePath());
        read(caller, "fruit-collar", "star-collar");
        read(caller, "midrib-hairs", "rusty-fringe");
        read(caller, "tooth-shape", "incurved")
                .path("readings")
                .forEach(one -> ids.add(one.path("id").asText()));
        return signature("taxon", "serotina", ids);
    }

    protected static Map<String, Object> signature(String outcome, String taxon, List<String> readingIds) {
        Map<String, Object> signed = new HashMap<>();
        signed.put("outcome", outcome);
        if (taxon != null) {
            signed.put("taxonId", taxon);
        }
        signed.put("note", WORDS.get(0));
        signed.put("confirming", List.of());
        signed.put("reasons", Map.of());
        signed.put("voucher", WORDS.get(1));
        signed.put("readingIds", readingIds);
        return signed;
    }

    protected JsonNode read(Caller caller, String character, String state) {
        return caller.put(
                        treePath() + "/readings/" + UUID.randomUUID(),
                        Map.of(
                                "character",
                                character,
                                "states",
                                Collections.nCopies(8, state),
                                "certainty",
                                "sure",
                                "notSeen",
                                false))
                .expect(200);
    }
}
