package org.goldthistle.season;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.Test;

/** A season begun from the one before it, and the two held against each other. */
class NextSeasonTest extends TreeUnderReview {
    private final UUID next = UUID.randomUUID();

    @Test
    void plots_and_standing_stems_go_with_it_and_nothing_that_was_read() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller lead = signedIn("Treecreeper");
        UUID stem = UUID.randomUUID();
        signedIn("Siskin")
                .put(plotOf(surveyPath()) + "/trees/" + stem, cloneOf(tree))
                .expect(200);
        int stems = stems(surveyPath());

        JsonNode begun = begin(lead, 2027).expect(200);
        JsonNode again = begin(lead, 2027).expect(200);

        assertThat(again).isEqualTo(begun);
        assertThat(begun.path("stems").asInt()).isEqualTo(stems);
        JsonNode plots = lead.get(nextPath() + "/plots").expect(200);
        assertThat(plots).hasSize(lead.get(surveyPath() + "/plots").expect(200).size());
        JsonNode here = trees(lead, plots);
        assertThat(here).hasSize(2);
        JsonNode bearer = here.path(0);
        assertThat(bearer.path("tag").asInt()).isEqualTo(7);
        assertThat(bearer.path("groupId").asText()).isEqualTo("bird-cherries");
        assertThat(bearer.path("standsAs").asText()).isEqualTo("open");
        assertThat(bearer.path("readings").asInt()).isZero();
        assertThat(here.path(1).path("cloneOf").asText())
                .isEqualTo(bearer.path("id").asText());
        assertThat(here.toString()).doesNotContain(SECRETS);
        assertThat(lead.get(nextPath() + "/trees/" + bearer.path("id").asText() + "/bench")
                        .expect(200)
                        .path("readings"))
                .isEmpty();
    }

    @Test
    void a_tree_that_was_cut_stays_behind() {
        int stems = stems(surveyPath());
        jdbc.sql(
                        "insert into control_work (id, survey_id, tree_id, what, done_on, note, observer_id, recorded_at)"
                                + " select gen_random_uuid(), p.survey_id, t.id, 'cut', date '2026-09-10', '', o.id, now() from tree t"
                                + " join plot p on p.id = t.plot_id join observer o on o.call_sign = 'Treecreeper' where t.id = ?")
                .param(tree)
                .update();

        assertThat(begin(signedIn("Treecreeper"), 2027)
                        .expect(200)
                        .path("stems")
                        .asInt())
                .isEqualTo(stems - 1);
    }

    @Test
    void what_is_no_later_season_or_is_there_already_is_refused_and_nothing_is_stored() {
        Caller lead = signedIn("Treecreeper");
        int before = lead.get("/api/surveys").expect(200).size();

        JsonNode refused = begin(lead, 2026).expectProblem(422, "unfit-survey");
        assertThat(refused.toString()).contains("a year after 2026");
        lead.put(surveyPath() + "/season/next", Map.of("id", next, "name", " ", "season", 2027))
                .expect(400);
        begin(signedIn("Siskin"), 2027).expect(403);
        assertThat(lead.get("/api/surveys").expect(200)).hasSize(before);

        begin(lead, 2027).expect(200);
        lead.put(
                        surveyPath() + "/season/next",
                        Map.of("id", UUID.randomUUID(), "name", "kettle moss round " + next, "season", 2027))
                .expectProblem(409, "season-begun");
        begin(lead, 2028).expectProblem(409, "id-taken");
        String told = lead.put(
                        surveyPath() + "/season/next", Map.of("id", next, "name", "Another round", "season", 2027))
                .expectProblem(409, "season-begun")
                .toString();
        assertThat(told).contains("Kettle Moss round " + next);
        assertThat(lead.get("/api/surveys").expect(200)).hasSize(before + 1);
    }

    @Test
    void a_verified_tree_counts_among_the_records_of_its_district_once() {
        Caller lead = signedIn("Treecreeper");
        Caller redpoll = signedIn("Redpoll");
        int before = records(surveyPath());
        sign(signedIn("Siskin"), "taxon", "serotina");
        JsonNode row = rowOf(redpoll);
        redpoll.put(casePath(row) + "/taken", Map.of()).expect(200);
        sign(redpoll, "taxon", "serotina");
        JsonNode table = redpoll.get(casePath(row)).expect(200);
        redpoll.put(decision(row), decision("agree", table, "", 0)).expect(200);
        int others = begin(lead, 2027).expect(200).path("records").asInt();
        lead.put(casePath(row) + "/verifications/" + UUID.randomUUID(), Map.of("verified", true))
                .expect(200);

        UUID verified = UUID.randomUUID();
        JsonNode begun = lead.put(
                        surveyPath() + "/season/next",
                        Map.of("id", verified, "name", "After verifying " + verified, "season", 2027))
                .expect(200);

        assertThat(others).isGreaterThanOrEqualTo(before);
        assertThat(begun.path("records").asInt()).isEqualTo(others + 1);
    }

    @Test
    void what_its_lead_set_for_files_for_the_map_and_for_practice_goes_with_it() {
        Caller lead = signedIn("Treecreeper");
        lead.put(
                        surveyPath() + "/exchange-rules",
                        Map.of(
                                "license",
                                "CC BY 4.0",
                                "rightsHolder",
                                "Tarnholt Forest",
                                "pseudonyms",
                                true,
                                "coarseMetres",
                                2000,
                                "coarseTaxa",
                                List.of()))
                .expect(204);
        jdbc.sql("insert into practice_rule (id, survey_id, group_id, needed, of_trees, set_by, recorded_at)"
                        + " select gen_random_uuid(), cast(? as uuid), 'larches', n, 10, o.id, now() from observer o,"
                        + " (values (9), (7)) x (n) where o.call_sign = 'Treecreeper'")
                .param(surveyId())
                .update();

        begin(lead, 2027).expect(200);

        assertThat(lead.get(nextPath() + "/exchange-rules").expect(200))
                .isEqualTo(lead.get(surveyPath() + "/exchange-rules").expect(200));
        assertThat(jdbc.sql("select needed from practice_rule where survey_id = ? and group_id = 'larches'")
                        .param(next)
                        .query(Integer.class)
                        .list())
                .containsExactly(7);
    }

    @Test
    void what_a_tree_was_last_season_is_told_to_whoever_asks_and_they_do_not_read_it_blind_then() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        begin(signedIn("Treecreeper"), 2027).expect(200);
        Caller dipper = signedIn("Dipper");
        JsonNode plots = dipper.get(nextPath() + "/plots").expect(200);
        String later = trees(dipper, plots).path(0).path("id").asText();
        assertThat(sights(later)).isZero();

        JsonNode open =
                dipper.get(nextPath() + "/season/trees/" + later + "/earlier").expect(200);

        if (open.isEmpty()) { // under review in the season before, and Dipper may still be asked to read it blind there
            assertThat(sights(later)).isZero();
            open = signedIn("Siskin")
                    .get(nextPath() + "/season/trees/" + later + "/earlier")
                    .expect(200);
        }
        assertThat(open.path(0).path("season").asInt()).isEqualTo(2026);
        assertThat(open.path(0).path("name").asText()).isEqualTo("black cherry");
        assertThat(sights(later)).isEqualTo(1);
    }

    @Test
    void seasons_stand_side_by_side_with_the_plots_that_they_share() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller lead = signedIn("Treecreeper");
        begin(lead, 2027).expect(200);
        jdbc.sql("update tree set shown_to = null where id = ?").param(tree).update();

        JsonNode compared = lead.get(nextPath() + "/season/compared").expect(200);

        JsonNode mine = of(compared.path("seasons"), surveyId());
        JsonNode later = of(compared.path("seasons"), next.toString());
        assertThat(mine.path("trees").asInt()).isPositive();
        assertThat(mine.path("twice").asInt())
                .isGreaterThanOrEqualTo(mine.path("agreed").asInt());
        assertThat(later.path("trees").asInt()).isZero();
        assertThat(compared.path("seasons").findValuesAsText("season")).isSorted();
        int twice = 0;
        for (JsonNode one : lead.get(surveyPath() + "/season").expect(200).path("plots")) {
            twice += one.path("twice").asInt();
        }
        assertThat(mine.path("twice").asInt()).isEqualTo(twice);
        for (JsonNode one : compared.path("plots")) {
            assertThat(one.path("seasons").size()).as(one.toString()).isGreaterThan(1);
        }
        assertThat(compared.path("pairs").isArray()).isTrue();
    }

    private Caller.Answer begin(Caller caller, int season) {
        return caller.put(
                surveyPath() + "/season/next",
                Map.of("id", next, "name", "Kettle Moss round " + next, "season", season));
    }

    private static JsonNode of(JsonNode seasons, String survey) {
        for (JsonNode one : seasons) {
            if (one.path("surveyId").asText().equals(survey)) {
                return one;
            }
        }
        throw new AssertionError("the season is not there");
    }

    private static String surveyId() {
        return surveyPath().substring(surveyPath().lastIndexOf('/') + 1);
    }

    private String nextPath() {
        return "/api/surveys/" + next;
    }

    private String plotOf(String survey) {
        return survey + "/plots/" + plot;
    }

    private static Map<String, Object> cloneOf(UUID bearer) {
        Map<String, Object> body = new HashMap<>(stemBody(8, "bird-cherries"));
        body.put("cloneOf", bearer);
        return body;
    }

    /** The trees of the plot of this test in the next season, by tag. */
    private JsonNode trees(Caller caller, JsonNode plots) {
        for (JsonNode one : plots) {
            if (one.path("code").asText().equals("Churn Edge " + plot)) {
                return caller.get(nextPath() + "/plots/" + one.path("id").asText() + "/trees")
                        .expect(200);
            }
        }
        throw new AssertionError("the plot did not go with it");
    }

    private int stems(String survey) {
        return jdbc.sql(
                        "select count(*) from tree t join plot p on p.id = t.plot_id where p.survey_id = cast(? as uuid)")
                .param(survey.substring(survey.lastIndexOf('/') + 1))
                .query(Integer.class)
                .single();
    }

    private int records(String survey) {
        return jdbc.sql("select coalesce(sum(trees), 0) from survey_record where survey_id = cast(? as uuid)")
                .param(survey.substring(survey.lastIndexOf('/') + 1))
                .query(Integer.class)
                .single();
    }

    private int sights(String treeId) {
        return jdbc.sql("select count(*) from sight where scope = 'earlier' and trees @> array[cast(? as uuid)]")
                .param(treeId)
                .query(Integer.class)
                .single();
    }
}
