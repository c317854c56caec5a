package org.goldthistle.survey;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Plots and trees as a crew enters them; each test has a plot of its own. */
class PlotTest extends ServerTest {
    private final UUID plotId = UUID.randomUUID();
    private final String plot = surveyPath() + "/plots/" + plotId;
    private Caller dipper;

    @BeforeEach
    void a_plot_on_land() {
        dipper = signedIn("Dipper");
        dipper.put(plot, plot(55.03, -20.38, 15)).expect(200);
    }

    @Test
    void what_cannot_be_true_is_told_at_its_field() {
        JsonNode refused = dipper.put(
                        tree(UUID.randomUUID()),
                        changed(birch(3), "azimuthDegrees", 400, "diameterMillimetres", 3200, "stage", "ancient"))
                .expectProblem(422, "unfit-tree");

        assertThat(refused.path("refusals").findValuesAsText("key"))
                .containsExactly("azimuthDegrees", "diameterMillimetres", "stage");
        assertThat(dipper.get(plot + "/trees").expect(200)).isEmpty();
    }

    @Test
    void a_tree_stands_in_its_plot_under_a_tag_of_its_own() {
        dipper.put(tree(UUID.randomUUID()), birch(3)).expect(200);

        assertThat(dipper.put(tree(UUID.randomUUID()), birch(3))
                        .expectProblem(422, "unfit-tree")
                        .at("/refusals/0/key")
                        .asText())
                .isEqualTo("tag");
        assertThat(dipper.put(tree(UUID.randomUUID()), changed(birch(4), "distanceMetres", 15.1))
                        .expectProblem(422, "unfit-tree")
                        .at("/refusals/0/expected")
                        .asText())
                .contains("15.0 m");
        assertThat(dipper.put(plot, changed(plot(55.03, -20.38, 4), "version", 0))
                        .expectProblem(422, "unfit-plot")
                        .at("/refusals/0/expected")
                        .asText())
                .contains("tree 3");
    }

    @Test
    void a_plot_at_sea_is_told_how_far_out_it_lies() {
        JsonNode refused =
                dipper.put(plot, changed(plot(55.03, -20.9, 15), "version", 0)).expectProblem(422, "unfit-plot");

        assertThat(refused.at("/refusals/0/key").asText()).isEqualTo("position");
        assertThat(refused.at("/refusals/0/expected").asText()).matches(".*3[12]\\.\\d km outside.*");
    }

    @Test
    void of_two_who_change_a_tree_the_second_sees_both_versions_and_a_retry_is_harmless() {
        UUID id = UUID.randomUUID();
        dipper.put(tree(id), birch(3)).expect(200);
        Map<String, Object> thicker = changed(birch(3), "diameterMillimetres", 231, "version", 0);
        dipper.put(tree(id), thicker).expect(200);
        dipper.put(tree(id), thicker).expect(200);

        JsonNode stale = signedIn("Siskin")
                .put(tree(id), changed(birch(3), "diameterMillimetres", 240, "version", 0))
                .expectProblem(409, "stale");

        assertThat(stale.at("/kept/diameterMillimetres").asInt()).isEqualTo(231);
        signedIn("Siskin")
                .put(
                        tree(id),
                        changed(
                                birch(3),
                                "diameterMillimetres",
                                240,
                                "version",
                                stale.at("/kept/version").asInt()))
                .expect(200);
        assertThat(dipper.get(surveyPath() + "/trees/" + id + "/history")
                        .expect(200)
                        .findValuesAsText("observer"))
                .containsExactly("Siskin", "Dipper", "Dipper");
    }

    @Test
    void closing_says_what_blocks_it() {
        UUID birch = UUID.randomUUID();
        dipper.put(tree(birch), birch(3)).expect(200);
        dipper.put(tree(UUID.randomUUID()), plainOak(4)).expect(200);
        JsonNode blocked = dipper.put(plot + "/closed", Map.of("closed", true)).expectProblem(422, "plot-unfinished");
        assertThat(blocked.path("refusals").findValuesAsText("key")).containsExactly("tree 3");

        signGroupOnly(birch);

        assertThat(dipper.put(plot + "/closed", Map.of("closed", true))
                        .expect(200)
                        .has("closedAt"))
                .isTrue();
        dipper.put(tree(UUID.randomUUID()), birch(5)).expectProblem(409, "plot-closed");
    }

    @Test
    void stems_of_a_clone_have_one_call() {
        UUID bearer = UUID.randomUUID();
        UUID stem = UUID.randomUUID();
        dipper.put(tree(bearer), birch(3)).expect(200);
        dipper.put(tree(stem), changed(birch(4), "cloneOf", bearer)).expect(200);

        assertThat(bench(bearer).expect(200).at("/tree/stems").asInt()).isEqualTo(2);
        bench(stem).expectProblem(409, "stem-of-a-clone");
        dipper.put(tree(UUID.randomUUID()), changed(birch(5), "cloneOf", stem)).expectProblem(422, "unfit-tree");
        signGroupOnly(bearer);
        dipper.put(plot + "/closed", Map.of("closed", true)).expect(200);
    }

    @Test
    void a_tree_that_was_read_neither_becomes_plain_nor_goes() {
        UUID id = UUID.randomUUID();
        dipper.put(tree(id), birch(3)).expect(200);
        signGroupOnly(id);

        dipper.put(tree(id), changed(plainOak(3), "version", 0)).expectProblem(422, "already-read");
        dipper.delete(surveyPath() + "/trees/" + id).expectProblem(422, "already-read");
    }

    @Test
    void a_tree_that_was_recorded_by_mistake_goes_and_its_history_stays() {
        UUID id = UUID.randomUUID();
        dipper.put(tree(id), birch(3)).expect(200);

        dipper.delete(surveyPath() + "/trees/" + id).expect(204);

        assertThat(dipper.get(plot + "/trees").expect(200)).isEmpty();
        assertThat(jdbc.sql("select what from audit_entry where tree_id = ? order by id")
                        .param(id)
                        .query(String.class)
                        .list())
                .containsExactly("recorded the tree", "struck the tree");
    }

    private Caller.Answer bench(UUID tree) {
        return dipper.get(surveyPath() + "/trees/" + tree + "/bench");
    }

    private void signGroupOnly(UUID tree) {
        dipper.put(surveyPath() + "/trees/" + tree + "/determinations/" + UUID.randomUUID(), signature("group"))
                .expect(200);
    }

    private String tree(UUID id) {
        return plot + "/trees/" + id;
    }

    private Map<String, Object> plot(double latitude, double longitude, double radius) {
        Map<String, Object> body = new HashMap<>();
        body.put("code", "Stony Rigg " + plotId.toString().substring(0, 8));
        body.put("latitude", latitude);
        body.put("longitude", longitude);
        body.put("radiusMetres", radius);
        body.put("habitat", List.of("dry"));
        body.put("notes", "");
        return body;
    }

    private static Map<String, Object> birch(int tag) {
        Map<String, Object> body = new HashMap<>();
        body.put("tag", tag);
        body.put("azimuthDegrees", 20.5 * tag);
        body.put("distanceMetres", 4.5);
        body.put("diameterMillimetres", 214);
        body.put("stage", "mature");
        body.put("origin", "wild");
        body.put("conditionNotes", "");
        body.put("groupId", "birches");
        return body;
    }

    private static Map<String, Object> plainOak(int tag) {
        Map<String, Object> body = birch(tag);
        body.remove("groupId");
        body.put("plainTaxon", "Quercus robur");
        return body;
    }

    private static Map<String, Object> changed(Map<String, Object> body, Object... changes) {
        Map<String, Object> other = new HashMap<>(body);
        for (int i = 0; i < changes.length; i += 2) {
            other.put((String) changes[i], changes[i + 1]);
        }
        return other;
    }
}
