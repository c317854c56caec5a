package org.goldthistle.today;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.Test;

/** What a day came to for one of a crew. */
class DayEndTest extends TreeUnderReview {
    private static final String DAY = "?from=2026-09-13T22:00:00Z&to=2026-09-14T22:00:00Z";

    @Test
    void what_was_read_and_signed_is_told_by_plot_and_what_is_unsigned_waits() {
        Caller siskin = signedIn("Siskin");
        UUID second = UUID.randomUUID();
        siskin.put(surveyPath() + "/plots/" + plot + "/trees/" + second, stemBody(8, "bird-cherries"))
                .expect(200);
        markGate(siskin, treePath());
        read(siskin, "fruit-collar", "star-collar");
        later(Duration.ofMinutes(7));
        sign(siskin, "group", null);
        UUID first = tree;
        tree = second;
        read(siskin, "tooth-shape", "incurved");

        JsonNode day = siskin.get(surveyPath() + "/today/end" + DAY).expect(200);

        JsonNode here = plotOf(day);
        assertThat(here.path("read").asInt()).isEqualTo(2);
        assertThat(here.path("open").asInt()).isEqualTo(1);
        assertThat(here.path("signed")).hasSize(1);
        assertThat(here.at("/signed/0/treeId").asText()).isEqualTo(first.toString());
        assertThat(here.at("/signed/0/outcome").asText()).isEqualTo("group");
        assertThat(day.path("minutes").asInt()).isEqualTo(7);
        assertThat(day.path("began").asText()).isEqualTo("2026-09-14T09:00:00Z");
        assertThat(day.path("ended").asText()).isEqualTo("2026-09-14T09:07:00Z");
        JsonNode waiting = day.path("unsigned").path(0);
        assertThat(waiting.path("treeId").asText()).isEqualTo(second.toString());
        assertThat(waiting.path("today").asBoolean()).isTrue();
        assertThat(waiting.path("readings").asInt()).isEqualTo(1);
    }

    @Test
    void another_day_and_another_observer_are_told_nothing_of_it_but_what_waits() {
        Caller siskin = signedIn("Siskin");
        read(siskin, "tooth-shape", "incurved");

        JsonNode tomorrow = siskin.get(surveyPath() + "/today/end?from=2026-09-14T22:00:00Z&to=2026-09-15T22:00:00Z")
                .expect(200);
        JsonNode dipper =
                signedIn("Dipper").get(surveyPath() + "/today/end" + DAY).expect(200);

        assertThat(tomorrow.path("plots")).isEmpty();
        assertThat(tomorrow.has("began")).isFalse();
        assertThat(tomorrow.path("unsigned").findValuesAsText("treeId")).contains(tree.toString());
        assertThat(dipper.toString()).doesNotContain(tree.toString());
    }

    @Test
    void what_is_no_day_is_refused() {
        Caller siskin = signedIn("Siskin");
        String path = surveyPath() + "/today/end";

        siskin.get(path + "?from=2026-09-14T00:00:00Z&to=2026-09-13T00:00:00Z").expectProblem(422, "refused");
        siskin.get(path + "?from=2026-01-01T00:00:00Z&to=2027-01-01T00:00:00Z").expectProblem(422, "refused");
        siskin.get(path + "?from=today&to=tomorrow").expect(400);
        siskin.get(path).expectProblem(422, "refused");
        siskin.get("/api/surveys/" + UUID.randomUUID() + "/today/end" + DAY).expectProblem(404, "no-such-survey");
    }

    private JsonNode plotOf(JsonNode day) {
        for (JsonNode one : day.path("plots")) {
            if (one.path("id").asText().equals(plot.toString())) {
                return one;
            }
        }
        throw new AssertionError("the plot is not there");
    }
}
