package org.goldthistle.race;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;

/** Samples are asked for, taken and packed twice at one instant. */
class SampleRaceTest extends RaceCase {

    @Override
    List<Race> races() {
        return List.of(
                new Race("PUT /api/surveys/{surveyId}/samples/{sampleId}", "one id twice", () -> {
                    String path = surveyPath() + "/samples/" + UUID.randomUUID();
                    return same(() -> siskin.put(path, asked()), BOTH);
                }),
                new Race(
                        "PUT /api/surveys/{surveyId}/samples/{sampleId}",
                        "two for one tree",
                        () -> new Round(() -> ask(siskin), () -> ask(dipper), BOTH)),
                new Race("PUT /api/surveys/{surveyId}/samples/{sampleId}", "and its tree is struck", () -> {
                    UUID other = UUID.randomUUID();
                    plant(siskin, UUID.randomUUID(), other, "bird-cherries");
                    return new Round(
                            () -> siskin.put(
                                    surveyPath() + "/samples/" + UUID.randomUUID(),
                                    Map.of("treeId", other, "tissue", "leaf", "analysis", "sequence", "note", "")),
                            () -> dipper.delete(surveyPath() + "/trees/" + other),
                            ONE);
                }),
                new Race("PUT /api/surveys/{surveyId}/samples/{sampleId}/steps/{stepId}", "taken and withdrawn", () -> {
                    String sample = ask(siskin).expect(200).path("id").asText();
                    return new Round(
                            () -> step(siskin, sample, "taken"), () -> step(redpoll, sample, "withdrawn"), ONE);
                }),
                new Race("PUT /api/surveys/{surveyId}/parcels/{parcelId}", "one sample in two parcels", () -> {
                    JsonNode sample = ask(siskin).expect(200);
                    step(siskin, sample.path("id").asText(), "taken").expect(200);
                    return new Round(() -> pack(siskin, sample), () -> pack(dipper, sample), ONE);
                }));
    }

    private Map<String, Object> asked() {
        return Map.of("treeId", tree, "tissue", "leaf", "analysis", "sequence", "note", "");
    }

    private Caller.Answer ask(Caller caller) {
        return caller.put(surveyPath() + "/samples/" + UUID.randomUUID(), asked());
    }

    private static Caller.Answer step(Caller caller, String sample, String step) {
        return caller.put(
                surveyPath() + "/samples/" + sample + "/steps/" + UUID.randomUUID(),
                Map.of("step", step, "from", "asked", "note", ""));
    }

    private static Caller.Answer pack(Caller caller, JsonNode sample) {
        return caller.put(
                surveyPath() + "/parcels/" + UUID.randomUUID(),
                Map.of("sampleIds", List.of(sample.path("id").asText())));
    }
}
