package org.goldthistle.race;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Surveys, plots and trees, twice at one instant. */
class SurveyRaceTest extends RaceCase {
    @Override
    List<Race> races() {
        List<Race> all = new ArrayList<>();
        surveys(all);
        seasons(all);
        plots(all);
        trees(all);
        return all;
    }

    private void surveys(List<Race> all) {
        String put = "PUT /api/surveys/{surveyId}";
        all.add(new Race(put, "one id by two leads' pages", () -> {
            String path = "/api/surveys/" + UUID.randomUUID();
            return same(() -> lead.put(path, settings()), BOTH);
        }));
        all.add(new Race(put, "two changes of one version", () -> {
            String path = newSurvey();
            int version = lead.get("/api/surveys").expect(200).findParents("id").stream()
                    .filter(one -> path.endsWith(one.path("id").asText()))
                    .mapToInt(one -> one.path("version").asInt())
                    .findFirst()
                    .orElseThrow();
            return new Round(
                    () -> lead.put(path, changed(version, "Reedham")),
                    () -> lead.put(path, changed(version, "Sallowby")),
                    ONE);
        }));
        all.add(new Race("PUT /api/surveys/{surveyId}/closed", "closed while a plot is recorded", () -> {
            String path = newSurvey();
            UUID plot = UUID.randomUUID();
            return new Round(
                    () -> lead.put(path + "/closed", Map.of("closed", true)),
                    () -> lead.put(path + "/plots/" + plot, plotBody("Kettle 1")),
                    (one, other) -> {
                        one.expect(200);
                        assertThat(other.status()).isIn(200, 409);
                        lead.put(path + "/plots/" + UUID.randomUUID(), plotBody("Kettle 2"))
                                .expectProblem(409, "survey-closed");
                    });
        }));
    }

    private void seasons(List<Race> all) {
        all.add(new Race("PUT /api/surveys/{surveyId}/season/plan", "two plans", () -> {
            String path = newSurvey() + "/season/plan";
            return new Round(() -> lead.put(path, plan(100)), () -> lead.put(path, plan(200)), BOTH);
        }));
        all.add(new Race("PUT /api/surveys/{surveyId}/season/lines", "two maps", () -> {
            String path = newSurvey() + "/season/lines";
            byte[] map = "{\"type\":\"LineString\",\"coordinates\":[[5,54],[5.1,54]]}".getBytes(StandardCharsets.UTF_8);
            return new Round(() -> lead.putBytes(path, map), () -> lead.putBytes(path, map), BOTH);
        }));
        String next = "PUT /api/surveys/{surveyId}/season/next";
        all.add(new Race(next, "one season by two taps", () -> {
            String path = newSurvey() + "/season/next";
            UUID id = UUID.randomUUID();
            return same(() -> lead.put(path, nextSeason(id, "After " + id)), BOTH);
        }));
        all.add(new Race(next, "one season by two leads' pages", () -> {
            String path = newSurvey() + "/season/next";
            String name = "After " + UUID.randomUUID();
            return new Round(
                    () -> lead.put(path, nextSeason(UUID.randomUUID(), name)),
                    () -> lead.put(path, nextSeason(UUID.randomUUID(), name)),
                    ONE);
        }));
        all.add(new Race("PUT /api/surveys/{surveyId}/exchange-rules", "two licences", () -> {
            String path = newSurvey() + "/exchange-rules";
            return new Round(
                    () -> lead.put(path, archive("CC BY 4.0")), () -> lead.put(path, archive("CC0 1.0")), BOTH);
        }));
    }

    private static Map<String, Object> nextSeason(UUID id, String name) {
        return Map.of("id", id, "name", name, "season", 2150);
    }

    private static Map<String, Object> archive(String license) {
        return Map.of(
                "license",
                license,
                "rightsHolder",
                "",
                "pseudonyms",
                false,
                "coarseMetres",
                0,
                "coarseTaxa",
                List.of());
    }

    private static Map<String, Object> plan(int trees) {
        return Map.of("trees", trees, "begins", "2026-05-01", "ends", "2026-10-31");
    }

    private String newSurvey() {
        String path = "/api/surveys/" + UUID.randomUUID();
        lead.put(path, settings()).expect(200);
        return path;
    }

    private static ObjectNode settings() {
        return JsonNodeFactory.instance
                .objectNode()
                .put("name", "Reed round")
                .put("district", "Tarnholt")
                .put("season", 2026)
                .put("defaultTier", "record")
                .put("controlUsed", false)
                .put("woundingAllowed", false)
                .put("laboratoryUsed", true)
                .put("photoPositionKept", false)
                .put("plainShare", 0.05)
                .<ObjectNode>set("groups", empty())
                .<ObjectNode>set("records", empty())
                .set("members", empty());
    }

    private static ArrayNode empty() {
        return JsonNodeFactory.instance.arrayNode();
    }

    private ObjectNode changed(int version, String name) {
        ObjectNode settings = settings();
        settings.putArray("members").add(demoId("observer Treecreeper").toString());
        return settings.put("name", name).put("version", version);
    }

    private void plots(List<Race> all) {
        String put = "PUT /api/surveys/{surveyId}/plots/{plotId}";
        all.add(new Race(put, "one id by two", () -> {
            String path = surveyPath() + "/plots/" + UUID.randomUUID();
            String code = "Wrack " + UUID.randomUUID();
            return new Round(() -> siskin.put(path, plotBody(code)), () -> dipper.put(path, plotBody(code)), BOTH);
        }));
        all.add(new Race(put, "one code by two", () -> {
            String code = "Wrack " + UUID.randomUUID();
            return new Round(
                    () -> siskin.put(surveyPath() + "/plots/" + UUID.randomUUID(), plotBody(code)),
                    () -> dipper.put(surveyPath() + "/plots/" + UUID.randomUUID(), plotBody(code)),
                    ONE);
        }));
        all.add(new Race("PUT /api/surveys/{surveyId}/plots/{plotId}/closed", "closed while a stem is recorded", () -> {
            String path = newPlot();
            return new Round(
                    () -> siskin.put(path + "/closed", Map.of("closed", true)),
                    () -> dipper.put(path + "/trees/" + UUID.randomUUID(), stemBody(1, "bird-cherries")),
                    (one, other) -> assertThat(List.of(one.status(), other.status()))
                            .isIn(List.of(200, 409), List.of(422, 200))); // a stem that is open keeps it open
        }));
        all.add(new Race("PUT /api/surveys/{surveyId}/plots/{plotId}/closed", "closed while a stem is read", () -> {
            String path = newPlot();
            UUID stem = UUID.randomUUID();
            siskin.put(path + "/trees/" + stem, stemBody(1, "bird-cherries")).expect(200);
            siskin.put(trees(stem) + "/determinations/" + UUID.randomUUID(), signature("group"))
                    .expect(200);
            return new Round(
                    () -> siskin.put(path + "/closed", Map.of("closed", true)),
                    () -> dipper.put(trees(stem) + "/readings/" + UUID.randomUUID(), reading()),
                    (one, other) -> {
                        one.expect(200);
                        assertThat(other.status()).isIn(200, 409);
                        dipper.put(trees(stem) + "/readings/" + UUID.randomUUID(), reading())
                                .expectProblem(409, "plot-closed");
                    });
        }));
    }

    private void trees(List<Race> all) {
        String tree = "PUT /api/surveys/{surveyId}/plots/{plotId}/trees/{treeId}";
        all.add(new Race(tree, "one tag by two", () -> {
            String path = newPlot() + "/trees/";
            return new Round(
                    () -> siskin.put(path + UUID.randomUUID(), stemBody(3, "bird-cherries")),
                    () -> dipper.put(path + UUID.randomUUID(), stemBody(3, "bird-cherries")),
                    ONE);
        }));
        all.add(new Race(tree, "one id by two", () -> {
            String path = newPlot() + "/trees/" + UUID.randomUUID();
            return new Round(
                    () -> siskin.put(path, stemBody(3, "bird-cherries")),
                    () -> dipper.put(path, stemBody(3, "bird-cherries")),
                    BOTH);
        }));
        all.add(new Race("DELETE /api/surveys/{surveyId}/trees/{treeId}", "struck while it is read", () -> {
            UUID stem = newStem();
            return new Round(
                    () -> siskin.delete(trees(stem)),
                    () -> dipper.put(trees(stem) + "/readings/" + UUID.randomUUID(), reading()),
                    (one, other) -> assertThat(List.of(one.status(), other.status()))
                            .isIn(List.of(204, 404), List.of(422, 200)));
        }));
    }
}
