package org.goldthistle.season;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.goldthistle.Caller;
import org.goldthistle.core.Coded;
import org.goldthistle.core.verdict.Reason;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.Test;

/** The season at a glance, counted while trees are signed and reviewed. */
class SeasonTest extends TreeUnderReview {

    @Test
    void a_signature_moves_its_plot_its_week_and_its_group() {
        Caller siskin = signedIn("Siskin");
        JsonNode before = season(siskin);
        sign(siskin, "taxon", "serotina");

        JsonNode after = season(siskin);
        JsonNode plotNow = plotOf(after);
        assertThat(plotNow.path("stems").asInt()).isEqualTo(1);
        assertThat(plotNow.path("open").asInt()).isZero();
        assertThat(plotNow.path("review").asInt()).isEqualTo(1);
        assertThat(total(after, "first")).isEqualTo(total(before, "first") + 1);
        assertThat(week(after, "2026-09-14")).isGreaterThan(week(before, "2026-09-14"));
        assertThat(waits(after, "blind-reading")).isEqualTo(waits(before, "blind-reading") + 1);
        assertThat(after.path("own").asBoolean()).isTrue();
    }

    @Test
    void a_lead_sees_everybody_and_a_crew_itself() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        JsonNode leads = season(signedIn("Treecreeper"));
        JsonNode dippers = season(signedIn("Dipper"));

        assertThat(leads.path("own").asBoolean()).isFalse();
        assertThat(leads.path("walked").findValuesAsText("observer")).contains("Siskin", "Dipper");
        assertThat(dippers.path("walked").findValuesAsText("observer")).doesNotContain("Siskin");
        assertThat(total(leads, "first")).isGreaterThan(total(dippers, "first"));
    }

    @Test
    void what_is_read_blind_is_counted_as_under_review_and_no_more() {
        JsonNode before = plotOf(season(signedIn("Redpoll")));
        sign(signedIn("Siskin"), "group", null);
        JsonNode after = plotOf(season(signedIn("Redpoll")));

        assertThat(after.path("contested").asInt())
                .isEqualTo(before.path("contested").asInt());
    }

    @Test
    void every_figure_leads_to_its_trees() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        Caller lead = signedIn("Treecreeper");
        JsonNode season = season(lead);

        for (JsonNode group : season.path("groups")) {
            String id = group.path("groupId").asText();
            assertThat(inAll(lead, "group", id)).isEqualTo(group.path("trees").asInt());
            assertThat(inAll(lead, "contested", id))
                    .isEqualTo(group.path("contested").asInt());
            assertThat(inAll(lead, "overruled", id))
                    .isEqualTo(group.path("overruled").asInt());
        }
        assertThat(season.path("reasons")).isNotEmpty();
        for (JsonNode one : season.path("reasons")) {
            String reason = one.path("reason").asText();
            assertThat(Coded.find(Reason.Kind.values(), reason)).as(reason).isPresent();
            assertThat(inAll(lead, "reason", reason))
                    .isEqualTo(one.path("calls").asInt());
        }
        for (JsonNode wait : season.path("waits")) {
            assertThat(inAll(lead, "waiting", wait.path("what").asText()))
                    .isEqualTo(wait.path("trees").asInt());
        }
        for (JsonNode month : season.path("comeBack")) {
            assertThat(inAll(lead, "come-back", month.path("month").asText()))
                    .isEqualTo(month.path("trees").asInt());
        }
        for (JsonNode one : season.path("walked")) {
            assertThat(inAll(lead, "observer", one.path("observer").asText()))
                    .isGreaterThanOrEqualTo(one.path("trees").asInt());
        }
        JsonNode inWeek = lead.get(surveyPath() + "/season/trees?figure=week&of=2026-09-14")
                .expect(200);
        assertThat(inWeek.path("trees").findValuesAsText("treeId")).contains(tree.toString());
    }

    @Test
    void two_names_for_one_tree_are_a_pair_that_is_taken_for_each_other() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        redpoll.put(casePath(rowOf(redpoll)) + "/taken", Map.of()).expect(200);
        markGate(redpoll, treePath());
        read(redpoll, "fruit-collar", "absent");
        read(redpoll, "midrib-hairs", "axil-tufts");
        read(redpoll, "tooth-shape", "fine-sharp");
        sign(redpoll, "taxon", "padus");
        Caller lead = signedIn("Treecreeper");

        JsonNode pair = null;
        for (JsonNode one : season(lead).path("mistaken")) {
            if (one.path("first").asText().equals("padus")
                    && one.path("second").asText().equals("serotina")) {
                pair = one;
            }
        }
        assertThat(pair).isNotNull();
        JsonNode trees = lead.get(surveyPath() + "/season/trees?figure=mistaken&of=bird-cherries%7Cpadus%7Cserotina")
                .expect(200);
        assertThat(trees.path("trees").findValuesAsText("treeId")).contains(tree.toString());
        JsonNode compared = lead.get(surveyPath() + "/season/compared").expect(200);
        int unlike = 0;
        for (JsonNode one : compared.path("pairs")) {
            for (JsonNode then : one.path("seasons")) {
                boolean cherries = one.toString().contains("black cherry");
                unlike += cherries
                        ? then.path("twice").asInt() - then.path("agreed").asInt()
                        : 0;
            }
        }
        assertThat(unlike).isPositive();
        assertThat(plotOf(season(lead)).path("twice").asInt()).isEqualTo(1);
        assertThat(plotOf(season(lead)).path("agreed").asInt()).isZero();
    }

    @Test
    void whoever_is_to_read_a_tree_blind_is_told_no_name_by_a_figure() {
        sign(signedIn("Siskin"), "taxon", "serotina");

        JsonNode trees = signedIn("Redpoll")
                .get(surveyPath() + "/season/trees?figure=waiting&of=blind-reading")
                .expect(200);

        boolean met = false;
        for (JsonNode one : trees.path("trees")) {
            if (one.path("treeId").asText().equals(tree.toString())) {
                met = true;
                assertThat(one.path("standsAs").asText()).isEqualTo("review");
                assertThat(one.hasNonNull("standsName")).isFalse();
            }
        }
        assertThat(met).isTrue();
    }

    @Test
    void a_lead_plans_and_the_weeks_say_how_far_it_should_be() {
        Caller lead = signedIn("Treecreeper");
        sign(signedIn("Siskin"), "taxon", "serotina");

        lead.put(surveyPath() + "/season/plan", Map.of("trees", 700, "begins", "2026-09-14", "ends", "2026-09-27"))
                .expect(204);

        JsonNode season = season(lead);
        assertThat(season.path("plan").path("trees").asInt()).isEqualTo(700);
        for (JsonNode week : season.path("weeks")) {
            if (week.path("from").asText().equals("2026-09-14")) {
                assertThat(week.path("due").asInt()).isEqualTo(350);
            }
        }
        lead.put(surveyPath() + "/season/plan", Map.of("trees", 0, "begins", "2026-09-14", "ends", "2026-09-01"))
                .expectProblem(422, "refused");
        signedIn("Siskin")
                .put(surveyPath() + "/season/plan", Map.of("trees", 7, "begins", "2026-09-14", "ends", "2026-09-27"))
                .expect(403);
        assertThat(season(lead).path("plan").path("trees").asInt()).isEqualTo(700);
    }

    @Test
    void the_lines_of_the_map_are_those_of_the_last_file_that_could_be_read() {
        Caller lead = signedIn("Treecreeper");
        String path = surveyPath() + "/season/lines";

        lead.putBytes(
                        path,
                        bytes("{\"type\":\"Feature\",\"geometry\":{\"type\":\"Polygon\",\"coordinates\":"
                                + "[[[5,54],[5.1,54],[5.1,54.1],[5,54]]]}}"))
                .expect(200);
        assertThat(lead.putBytes(path, bytes("{\"type\":\"LineString\",\"coordinates\":[[5400000,540000],[1,2]]}"))
                        .expectProblem(422, "refused")
                        .toString())
                .contains("longitudes and latitudes");
        lead.putBytes(path, bytes("not a map")).expectProblem(422, "refused");

        assertThat(season(lead).path("lines")).hasSize(1);
        assertThat(season(lead).path("lines").path(0)).hasSize(4);
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static int inAll(Caller caller, String figure, String of) {
        return caller.get(surveyPath() + "/season/trees?figure=" + figure + "&of=" + of)
                .expect(200)
                .path("inAll")
                .asInt();
    }

    private static JsonNode season(Caller caller) {
        return caller.get(surveyPath() + "/season").expect(200);
    }

    private JsonNode plotOf(JsonNode season) {
        for (JsonNode one : season.path("plots")) {
            if (one.path("id").asText().equals(plot.toString())) {
                return one;
            }
        }
        throw new AssertionError("the plot is not there");
    }

    private static int total(JsonNode season, String key) {
        int total = 0;
        for (JsonNode week : season.path("weeks")) {
            total += week.path(key).asInt();
        }
        return total;
    }

    private static int week(JsonNode season, String monday) {
        for (JsonNode week : season.path("weeks")) {
            if (week.path("from").asText().equals(monday)) {
                return week.path("first").asInt() + week.path("further").asInt();
            }
        }
        return 0;
    }

    private static int waits(JsonNode season, String what) {
        for (JsonNode one : season.path("waits")) {
            if (one.path("what").asText().equals(what)) {
                return one.path("trees").asInt();
            }
        }
        throw new AssertionError("nothing is said of " + what);
    }
}
