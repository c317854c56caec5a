package org.goldthistle.review;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.junit.jupiter.api.Test;

/** Who was shown what others made of a tree cannot read it blind any more, however they were shown it. */
class SightTest extends TreeUnderReview {
    @Test
    void a_third_look_is_not_for_whoever_was_at_the_table() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "group", null);
        Caller nuthatch = signedIn("Nuthatch");
        JsonNode table = nuthatch.get(casePath(row)).expect(200);
        assertThat(table.path("readings")).hasSize(2);

        redpoll.put(
                        decision(row),
                        decision("third-look", redpoll.get(casePath(row)).expect(200), "", 0))
                .expect(200);

        JsonNode asked = nuthatch.get(casePath(row)).expect(200);
        assertThat(asked.path("blind").asBoolean()).isTrue();
        assertThat(asked.path("seenBefore").asBoolean()).isTrue();
        assertThat(asked.path("mayRead").asBoolean()).isFalse();
        assertThat(asked.path("stuck").asBoolean()).isFalse();
        assertThat(rowOf(nuthatch).path("whyNot").asText()).isEqualTo("seen");
        nuthatch.put(casePath(row) + "/taken", Map.of()).expectProblem(409, "seen-already");

        sign(nuthatch, "taxon", "serotina");

        JsonNode after = redpoll.get(casePath(row)).expect(200);
        assertThat(after.path("state").asText()).isEqualTo("waiting");
        assertThat(after.at("/readings/2/blind").asBoolean()).isFalse();
    }

    @Test
    void a_call_that_was_taken_along_cannot_be_read_blind_any_more() {
        sign(signedIn("Siskin"), "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "group", null);
        Caller nuthatch = signedIn("Nuthatch");
        assertThat(nuthatch.get(surveyPath() + "/along?plot=" + plot)
                        .expect(200)
                        .at("/plots/0/calls/0/determinations"))
                .hasSize(2);

        redpoll.put(
                        decision(row),
                        decision("third-look", redpoll.get(casePath(row)).expect(200), "", 0))
                .expect(200);

        assertThat(rowOf(nuthatch).path("whyNot").asText()).isEqualTo("seen");
    }

    @Test
    void a_call_that_was_in_the_plots_list_cannot_be_read_blind_when_control_is_asked_for_later() {
        changeSurvey(
                        signedIn("Treecreeper"),
                        set -> set.put("controlUsed", true).put("plainShare", 0))
                .expect(200);
        Caller siskin = signedIn("Siskin");
        tallied(siskin);
        Caller redpoll = signedIn("Redpoll");
        assertThat(redpoll.get(surveyPath() + "/plots/" + plot + "/trees")
                        .expect(200)
                        .at("/0/standsName")
                        .asText())
                .isNotEmpty();

        siskin.put(treePath() + "/tier", Map.of("tier", "control")).expect(200);
        markGate(siskin, treePath());
        sign(siskin, "taxon", "padus");

        redpoll.put(casePath(rowOf(redpoll)) + "/taken", Map.of()).expectProblem(409, "seen-already");
        Caller nuthatch = signedIn("Nuthatch");
        nuthatch.put(casePath(rowOf(nuthatch)) + "/taken", Map.of()).expect(200);
    }

    @Test
    void each_view_that_shows_a_call_is_on_record_once_and_views_that_show_none_are_not() {
        changeSurvey(signedIn("Treecreeper"), set -> set.put("plainShare", 0)).expect(200);
        Caller siskin = signedIn("Siskin");
        tallied(siskin);
        Caller wren = signedIn("Wren");
        long none = sightsOf("Wren");
        wren.get(surveyPath() + "/plots").expect(200);
        wren.get(surveyPath() + "/today").expect(200);
        wren.get(treePath()).expect(200);
        assertThat(sightsOf("Wren")).isEqualTo(none);

        List<String> scopes = new ArrayList<>();
        for (String address : List.of(
                treePath() + "/bench",
                treePath() + "/history",
                surveyPath() + "/plots/" + plot + "/trees",
                surveyPath() + "/export.csv",
                surveyPath() + "/export.geojson",
                surveyPath() + "/readings.csv")) {
            long before = sightsOf("Wren");
            assertThat(wren.get(address).status()).isEqualTo(200);
            assertThat(sightsOf("Wren")).as(address).isEqualTo(before + 1);
            scopes.add(lastScopeOf("Wren"));
        }

        assertThat(scopes).containsExactly("bench", "history", "plot", "export", "export", "export");
        assertThat(sightsOf("Siskin")).as("who signed it saw their own alone").isZero();
    }

    @Test
    void trees_behind_a_figure_of_the_season_are_shown_too() {
        tallied(signedIn("Siskin"));
        Caller lead = signedIn("Treecreeper");
        long before = sightsOf("Treecreeper");

        lead.get(surveyPath() + "/season").expect(200);
        assertThat(sightsOf("Treecreeper")).isEqualTo(before);
        lead.get(surveyPath() + "/season/trees?figure=group&of=bird-cherries").expect(200);

        assertThat(sightsOf("Treecreeper")).isEqualTo(before + 1);
        assertThat(lastScopeOf("Treecreeper")).isEqualTo("season");
    }

    @Test
    void a_case_that_everybody_has_seen_says_so_and_goes_to_the_laboratory() {
        Caller siskin = signedIn("Siskin");
        sign(siskin, "taxon", "serotina");
        Caller redpoll = signedIn("Redpoll");
        JsonNode row = rowOf(redpoll);
        sign(redpoll, "group", null);
        for (String other : List.of("Dipper", "Wren", "Nuthatch", "Treecreeper")) {
            signedIn(other).get(casePath(row)).expect(200);
        }
        // whom other tests have let into the survey
        jdbc.sql(
                        "insert into sight (observer_id, scope, trees, seen_at) select m.observer_id, 'case', array[:tree]::uuid[],"
                                + " now() from survey_member m where m.survey_id = :survey and not exists (select 1 from sight v"
                                + " where v.observer_id = m.observer_id and :tree = any(v.trees)) and not exists (select 1"
                                + " from determination d where d.observer_id = m.observer_id and d.tree_id = :tree)")
                .param("tree", tree)
                .param("survey", demoId("survey Tarnholt"))
                .update();

        JsonNode asked = redpoll.put(
                        decision(row),
                        decision("third-look", redpoll.get(casePath(row)).expect(200), "", 0))
                .expect(200);

        assertThat(asked.path("stuck").asBoolean()).isTrue();
        assertThat(rowOf(signedIn("Wren")).path("stuck").asBoolean()).isTrue();
        redpoll.put(decision(row), decision("agree", asked, "", 0)).expectProblem(409, "not-at-the-table");
        JsonNode sent =
                redpoll.put(decision(row), decision("laboratory", asked, "", 0)).expect(200);
        assertThat(sent.path("state").asText()).isEqualTo("laboratory");
    }

    /** Signs for the tally, which nobody reviews. */
    private void tallied(Caller caller) {
        caller.put(treePath() + "/tier", Map.of("tier", "tally")).expect(200);
        List<String> ids = new ArrayList<>();
        read(caller, "tooth-shape", "fine-sharp");
        read(caller, "fruit-collar", "absent");
        read(caller, "bark-surface", "dull-smooth");
        read(caller, "midrib-hairs", "axil-tufts")
                .path("readings")
                .forEach(one -> ids.add(one.path("id").asText()));
        caller.put(treePath() + "/determinations/" + UUID.randomUUID(), signature("taxon", "padus", ids))
                .expect(200);
    }

    private long sightsOf(String callSign) {
        return jdbc.sql("select count(*) from sight join observer o on o.id = observer_id where o.call_sign = ?"
                        + " and ? = any(trees)")
                .params(callSign, tree)
                .query(Long.class)
                .single();
    }

    private String lastScopeOf(String callSign) {
        return jdbc.sql("select scope from sight v join observer o on o.id = observer_id where o.call_sign = ?"
                        + " order by v.id desc limit 1")
                .param(callSign)
                .query(String.class)
                .single();
    }
}
