package org.goldthistle.along;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import io.micrometer.core.instrument.MeterRegistry;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What is taken along is what the same pages would show here and now. */
class AlongTest extends ServerTest {
    private static final UUID PLOT = demoId("plot Kettle Moss 07");

    @Autowired
    private MeterRegistry meters;

    @Test
    void every_tree_with_a_call_is_as_its_bench_would_show_it() {
        Caller dipper = signedIn("Dipper");
        String birch = treePath(23);
        dipper.put(
                        birch + "/readings/" + UUID.randomUUID(),
                        Map.of("character", "ltf", "values", List.of(3, 2), "notSeen", false))
                .expect(200);
        JsonNode along = along(dipper, PLOT);

        JsonNode plot = along.at("/plots/0");
        assertThat(plot.path("plot")).isEqualTo(dipper.get(plotPath()).expect(200));
        assertThat(plot.path("trees"))
                .isEqualTo(dipper.get(plotPath() + "/trees").expect(200));
        int begun = 0;
        for (JsonNode call : plot.path("calls")) {
            ObjectNode bench = dipper.get(
                            surveyPath() + "/trees/" + call.at("/tree/id").asText() + "/bench")
                    .expect(200)
                    .deepCopy();
            begun += bench.path("readings").isEmpty() ? 0 : 1;
            for (String of : (Iterable<String>) call::fieldNames) {
                assertThat(call.path(of)).as(of).isEqualTo(bench.path(of));
            }
            assertThat(call.has("figures")).isFalse();
        }
        long withCall = plot.path("trees").findValues("groupId").size();
        assertThat(plot.path("calls")).hasSize((int) withCall);
        assertThat(begun).isPositive().isLessThan((int) withCall);
    }

    @Test
    void the_sheets_that_calls_are_read_on_and_the_newest_of_each_group_are_named() {
        JsonNode along = along(signedIn("Dipper"), PLOT);

        assertThat(along.path("sheets").findValuesAsText("groupId")).contains("birches", "limes", "buckthorns");
        assertThat(along.path("sheets").findValuesAsText("versionId"))
                .containsAll(along.at("/plots/0/calls").findValuesAsText("sheetVersionId"));
        assertThat(along.at("/rules/defaultTier").asText()).isNotEmpty();
    }

    @Test
    void nothing_goes_along_of_a_survey_or_plot_that_is_none_of_theirs() {
        Caller dipper = signedIn("Dipper");

        dipper.get("/api/surveys/" + UUID.randomUUID() + "/along?plot=" + PLOT).expectProblem(404, "no-such-survey");
        dipper.get(surveyPath() + "/along?plot=" + UUID.randomUUID()).expectProblem(404, "no-such-plot");
        stranger().get(surveyPath() + "/along?plot=" + PLOT).expectProblem(401, "not-signed-in");
    }

    @Test
    void a_difference_of_figures_is_heard_from_whoever_may_see_the_tree() {
        Caller dipper = signedIn("Dipper");
        String tree = along(dipper, PLOT).at("/plots/0/calls/0/tree/id").asText();
        String path = surveyPath() + "/trees/" + tree + "/figure-differences";
        double before = counted();

        dipper.post(path, Map.of("where", ".figures.points: 1 here, 2 there")).expect(204);
        dipper.post(path, Map.of("where", "x".repeat(501))).expect(400);
        dipper.post(path.replace(tree, UUID.randomUUID().toString()), Map.of("where", "."))
                .expectProblem(404, "no-such-tree");

        assertThat(counted()).isEqualTo(before + 1);
    }

    private double counted() {
        return meters.counter("goldthistle.figures.differ").count();
    }

    private static JsonNode along(Caller caller, UUID plot) {
        return caller.get(surveyPath() + "/along?plot=" + plot).expect(200);
    }
}
