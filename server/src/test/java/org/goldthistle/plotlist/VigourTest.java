package org.goldthistle.plotlist;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** How trees do, what presses them, and how they did before. */
class VigourTest extends ServerTest {
    private final UUID plot = UUID.randomUUID();
    private final String code = "Wrack " + plot;
    private Caller siskin;

    @BeforeEach
    void a_plot() {
        siskin = signedIn("Siskin");
        siskin.put(surveyPath() + "/plots/" + plot, plotBody(code)).expect(200);
    }

    @Test
    void a_stem_is_pressed_by_its_living_neighbours_within_six_metres() {
        put(1, 0, 0, 200, Map.of());
        put(2, 0, 2, 100, Map.of());
        put(3, 90, 4, 400, Map.of("vigour", Map.of("dead", true)));
        put(4, 180, 7, 300, Map.of());

        JsonNode first = row(1);
        assertThat(first.path("competition").asDouble()).isCloseTo(0.5 / 2.3, within(1e-9));
        assertThat(first.at("/pressing/0/tag").asInt()).isEqualTo(2);
        assertThat(first.at("/pressing/0/share").asDouble()).isEqualTo(1);
        assertThat(row(3).has("competition"))
                .as("of a dead stem nothing is told")
                .isFalse();
        assertThat(row(4).path("competition").asDouble()).isZero();
    }

    @Test
    void stems_on_one_spot_press_each_other_as_stems_a_foot_apart_would() {
        put(1, 10, 3, 200, Map.of());
        put(2, 10, 3, 200, Map.of());

        assertThat(row(1).path("competition").asDouble()).isCloseTo(1 / 0.3, within(1e-9));
    }

    @Test
    void what_cannot_be_is_refused_at_its_field_and_backward_leaders_are_kept_and_asked_about() {
        JsonNode refused = send(1, 0, 0, 200, Map.of("vigour", Map.of("dead", false, "dieback", 7)))
                .expectProblem(422, "unfit-tree");
        assertThat(refused.at("/refusals/0/key").asText()).isEqualTo("vigour.dieback");
        send(1, 0, 0, 200, Map.of("vigour", Map.of("dead", false, "crown", "highest")))
                .expectProblem(422, "unfit-tree");
        send(1, 0, 0, 200, Map.of("vigour", Map.of("dead", false, "leaders", List.of(240, 9000))))
                .expectProblem(422, "unfit-tree");

        put(1, 0, 0, 200, Map.of("favoured", true, "vigour", Map.of("dead", false, "leaders", List.of(60, 180, 400))));
        JsonNode kept = row(1);
        assertThat(kept.path("leadersInDoubt").asBoolean()).isTrue();
        assertThat(kept.at("/vigour/leaders/2").asInt()).isEqualTo(400);
        assertThat(kept.path("favoured").asBoolean()).isTrue();
    }

    @Test
    void the_same_tree_of_an_earlier_season_tells_how_it_did() {
        Caller lead = signedIn("Treecreeper");
        UUID earlier = UUID.randomUUID();
        for (JsonNode survey : lead.get("/api/surveys").expect(200)) {
            if (survey.path("id").asText().equals(demoId("survey Tarnholt").toString())) {
                ObjectNode settings = survey.deepCopy();
                settings.remove(List.of("id", "closedAt", "version"));
                lead.put("/api/surveys/" + earlier, settings.put("season", 2021).put("name", "The round of 2021"))
                        .expect(200);
            }
        }
        UUID there = UUID.randomUUID();
        String address = "/api/surveys/" + earlier + "/plots/" + there;
        lead.put(address, plotBody(code)).expect(200);
        Map<String, Object> body = stem(1, 0, 0, 180);
        body.put("vigour", Map.of("dead", false, "crown", "codominant", "dieback", 1));
        lead.put(address + "/trees/" + UUID.randomUUID(), body).expect(200);
        put(1, 0, 0, 200, Map.of());

        JsonNode before = row(1).path("before");
        assertThat(before.path("season").asInt()).isEqualTo(2021);
        assertThat(before.at("/vigour/crown").asText()).isEqualTo("codominant");
    }

    private JsonNode row(int tag) {
        for (JsonNode one :
                siskin.get(surveyPath() + "/plots/" + plot + "/trees").expect(200)) {
            if (one.path("tag").asInt() == tag) {
                return one;
            }
        }
        throw new AssertionError("there is no tree " + tag);
    }

    private void put(int tag, double azimuth, double distance, int diameter, Map<String, Object> more) {
        send(tag, azimuth, distance, diameter, more).expect(200);
    }

    private Caller.Answer send(int tag, double azimuth, double distance, int diameter, Map<String, Object> more) {
        Map<String, Object> body = stem(tag, azimuth, distance, diameter);
        body.putAll(more);
        return siskin.put(surveyPath() + "/plots/" + plot + "/trees/" + UUID.randomUUID(), body);
    }

    private static Map<String, Object> stem(int tag, double azimuth, double distance, int diameter) {
        Map<String, Object> body = new HashMap<>(stemBody(tag, "birches"));
        body.put("azimuthDegrees", azimuth);
        body.put("distanceMetres", distance);
        body.put("diameterMillimetres", diameter);
        return body;
    }
}
