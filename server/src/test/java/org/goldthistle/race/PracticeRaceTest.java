package org.goldthistle.race;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.SmallPicture;

/** Practice trees and what surveys ask for, twice at one instant. */
class PracticeRaceTest extends RaceCase {
    @Override
    List<Race> races() {
        return List.of(
                new Race("PUT /api/practice/tries/{tryId}", "one id twice", () -> {
                    Caller wren = signedIn("Wren");
                    String path = "/api/practice/tries/" + UUID.randomUUID();
                    Map<String, Object> made = made();
                    return same(() -> wren.put(path, made), BOTH);
                }),
                new Race("PUT /api/practice/tries/{tryId}", "two trees", () -> {
                    Caller wren = signedIn("Wren");
                    Map<String, Object> made = made();
                    return same(() -> wren.put("/api/practice/tries/" + UUID.randomUUID(), made), BOTH);
                }),
                new Race("PUT /api/surveys/{surveyId}/practice/{groupId}", "two leads' pages", () -> {
                    String path = surveyPath() + "/practice/firs";
                    return new Round(
                            () -> lead.put(path, Map.of("needed", 8, "of", 10)),
                            () -> lead.put(path, Map.of("needed", 9, "of", 10)),
                            BOTH);
                }),
                new Race("PUT /api/surveys/{surveyId}/practice-sets/{setId}", "one id twice", () -> {
                    String path = surveyPath() + "/practice-sets/" + UUID.randomUUID();
                    return same(() -> lead.put(path, Map.of("groupId", "birches")), BOTH);
                }),
                new Race("PUT /api/surveys/{surveyId}/practice-sets/{setId}/closed", "closed twice", () -> {
                    String path = surveyPath() + "/practice-sets/" + UUID.randomUUID();
                    lead.put(path, Map.of("groupId", "birches")).expect(200);
                    return same(() -> lead.put(path + "/closed", Map.of()), BOTH);
                }),
                new Race("PUT /api/practice/cases/{caseId}/tries/{tryId}", "one id twice", () -> {
                    String path = "/api/practice/cases/" + settledCase() + "/tries/" + UUID.randomUUID();
                    Map<String, Object> sent = Map.of("endedAt", "2026-09-14T08:00:00Z", "outcome", "open");
                    return same(() -> nuthatch.put(path, sent), BOTH);
                }),
                new Race("PUT /api/surveys/{surveyId}/practice-withheld/{caseId}", "withheld and given free", () -> {
                    String path = surveyPath() + "/practice-withheld/"
                            + jdbc.sql("select id from review_case where survey_id = ? limit 1")
                                    .param(demoId("survey Tarnholt"))
                                    .query(UUID.class)
                                    .single();
                    return new Round(
                            () -> lead.put(path, Map.of("withheld", true)),
                            () -> lead.put(path, Map.of("withheld", false)),
                            BOTH);
                }));
    }

    /** A case with a photo that Nuthatch had no part in. */
    private String settledCase() {
        UUID cherry = plantAnother();
        siskin.putBytes(treePath() + "/photos/" + UUID.randomUUID(), SmallPicture.png(cherry.hashCode() % 9 + 10))
                .expect(200);
        sign(siskin, "taxon", "serotina");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "taxon", "serotina");
        JsonNode table = redpoll.get(casePath(row)).expect(200);
        redpoll.put(decision(row), decision("agree", table, "", 0)).expect(200);
        return row.path("id").asText();
    }

    private UUID plantAnother() {
        tree = UUID.randomUUID();
        plant(siskin, UUID.randomUUID(), tree, "bird-cherries");
        return tree;
    }

    private Map<String, Object> made() {
        String version = "";
        for (var group : lead.get("/api/sheets").expect(200)) {
            if (group.path("groupId").asText().equals("birches")) {
                version = group.path("versionId").asText();
            }
        }
        Map<String, Object> made = new HashMap<>();
        made.put("sheetVersionId", version);
        made.put("begunAt", "2026-09-14T08:00:00Z");
        made.put("endedAt", "2026-09-14T08:10:00Z");
        made.put("seed", 7);
        made.put("one", "pendula");
        made.put("other", "pubescens");
        made.put("readings", List.of());
        made.put("gate", List.of());
        made.put("outcome", "open");
        return made;
    }
}
