package org.goldthistle.survey;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** How surveys are set up, and what that does to the calls on their trees. */
class SurveyTest extends ServerTest {

    @AfterEach
    void as_it_was() {
        Caller lead = signedIn("Treecreeper");
        lead.put(surveyPath() + "/closed", Map.of("closed", false)).expect(200);
        changeSurvey(lead, set -> {
                    set.putArray("records");
                    set.putArray("groups");
                    set.remove(List.of("wrongYes", "wrongNo", "school"));
                    set.put("defaultTier", "tally").put("controlUsed", true).put("laboratoryUsed", true);
                })
                .expect(200);
    }

    @Test
    void a_lead_sets_a_survey_up_and_belongs_to_it() {
        Caller lead = signedIn("Treecreeper");
        String path = "/api/surveys/" + UUID.randomUUID();

        lead.put(path, settings("Stony Rigg round")).expect(200);

        lead.put(path, settings("Stony Rigg round")).expect(200); // a retry changes nothing
        assertThat(lead.get("/api/surveys").expect(200).findValuesAsText("name"))
                .contains("Stony Rigg round");
        assertThat(signedIn("Dipper").get("/api/surveys").expect(200).findValuesAsText("name"))
                .doesNotContain("Stony Rigg round");
    }

    @Test
    void what_does_not_fit_is_told_by_field() {
        JsonNode problem = changeSurvey(signedIn("Treecreeper"), set -> {
                    set.put("defaultTier", "whim").put("wrongYes", 4.0);
                    set.putArray("groups").add("palms");
                    set.putArray("records")
                            .addObject()
                            .put("groupId", "birches")
                            .put("taxonId", "oak")
                            .put("trees", 3);
                })
                .expectProblem(422, "unfit-survey");

        assertThat(problem.path("refusals").findValuesAsText("key"))
                .contains("defaultTier", "wrongYes", "groups", "records.birches");
    }

    @Test
    void of_two_leads_who_change_it_the_second_sees_both_versions() {
        Caller lead = signedIn("Treecreeper");
        JsonNode before = changeSurvey(lead, set -> set.put("name", "Kettle Moss round, Tarnholt"))
                .expect(200);
        ObjectNode stale = before.deepCopy();
        stale.remove(List.of("id", "closedAt"));
        changeSurvey(lead, set -> set.put("name", "Kettle Moss round, Tarnholt Forest"))
                .expect(200);

        JsonNode problem = lead.put(surveyPath(), stale.put("season", 2027)).expectProblem(409, "stale");

        assertThat(problem.at("/kept/name").asText()).isEqualTo("Kettle Moss round, Tarnholt Forest");
        assertThat(problem.at("/kept/season").asInt()).isEqualTo(2026);
    }

    @Test
    void a_closed_survey_is_read_only() {
        Caller lead = signedIn("Treecreeper");
        lead.put(surveyPath() + "/closed", Map.of("closed", true)).expect(200);
        Caller siskin = signedIn("Siskin");

        siskin.get(treePath(16) + "/bench").expect(200);
        siskin.put(treePath(16) + "/tier", Map.of("tier", "record")).expectProblem(409, "survey-closed");
        siskin.put(treePath(16) + "/readings/" + UUID.randomUUID(), Map.of("character", "thorns", "notSeen", true))
                .expectProblem(409, "survey-closed");
        siskin.put(plotPath() + "/closed", Map.of("closed", true)).expectProblem(409, "survey-closed");
        changeSurvey(lead, set -> set.put("season", 2027)).expectProblem(409, "survey-closed");
    }

    @Test
    void local_records_move_what_is_believed_beforehand() {
        Caller siskin = signedIn("Siskin");
        double before = shareOfGreyAlder(siskin);

        changeSurvey(
                        signedIn("Treecreeper"),
                        set -> set.putArray("records")
                                .addObject()
                                .put("groupId", "alders")
                                .put("taxonId", "incana")
                                .put("trees", 40))
                .expect(200);

        assertThat(shareOfGreyAlder(siskin)).isGreaterThan(before + 0.2);
    }

    @Test
    void costs_set_the_threshold_and_control_can_be_switched_off() {
        changeSurvey(
                        signedIn("Treecreeper"),
                        set -> set.put("wrongYes", 19.0).put("wrongNo", 1.0).put("controlUsed", false))
                .expect(200);
        Caller siskin = signedIn("Siskin");

        JsonNode bench = siskin.get(treePath(4) + "/bench").expect(200);

        assertThat(bench.at("/judgement/threshold").asDouble()).isEqualTo(0.95); // 19/(19 + 1)
        siskin.put(treePath(4) + "/tier", Map.of("tier", "control")).expectProblem(422, "control-unused");
    }

    @Test
    void a_survey_without_a_laboratory_takes_no_samples() {
        changeSurvey(signedIn("Treecreeper"), set -> set.put("laboratoryUsed", false))
                .expect(200);

        signedIn("Siskin")
                .put(treePath(40) + "/determinations/" + UUID.randomUUID(), signature("laboratory"))
                .expectProblem(422, "laboratory-unused");
    }

    @Test
    void who_changed_what_is_on_the_trail() {
        Caller lead = signedIn("Treecreeper");
        changeSurvey(lead, set -> set.put("defaultTier", "record")).expect(200);

        Map<String, Object> entry = jdbc.sql("select what, before ->> 'defaultTier' was, after ->> 'defaultTier' now"
                        + " from audit_entry where survey_id = ? order by id desc limit 1")
                .param(demoId("survey Tarnholt"))
                .query()
                .singleRow();

        assertThat(entry)
                .containsEntry("what", "changed the survey")
                .containsEntry("was", "tally")
                .containsEntry("now", "record");
    }

    private static double shareOfGreyAlder(Caller caller) {
        return caller.get(treePath(4) + "/bench")
                .expect(200)
                .at("/figures/withSurroundings/shares/1/posterior")
                .asDouble();
    }

    private static Map<String, Object> settings(String name) {
        return Map.ofEntries(
                Map.entry("name", name),
                Map.entry("district", "Tarnholt"),
                Map.entry("season", 2026),
                Map.entry("groups", List.of("birches")),
                Map.entry("defaultTier", "tally"),
                Map.entry("woundingAllowed", false),
                Map.entry("photoPositionKept", false),
                Map.entry("controlUsed", false),
                Map.entry("laboratoryUsed", true),
                Map.entry("plainShare", 0.05),
                Map.entry("members", List.of(demoId("observer Treecreeper"))),
                Map.entry("records", List.of()));
    }

    @Test
    void what_costs_come_to_is_told_and_costs_are_above_nothing() {
        Caller lead = signedIn("Treecreeper");

        assertThat(lead.get("/api/surveys/threshold?wrongYes=9&wrongNo=1")
                        .expect(200)
                        .path("share")
                        .asDouble())
                .isEqualTo(0.9);
        lead.get("/api/surveys/threshold?wrongYes=0&wrongNo=1").expectProblem(422, "refused");
    }
}
