package org.goldthistle.control;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.BeforeEach;

/** A black cherry that goes on a control list, and what a lead does to it. */
abstract class TreeForControl extends TreeUnderReview {
    protected Caller lead;

    @BeforeEach
    void control_is_used() {
        lead = signedIn("Treecreeper");
        changeSurvey(lead, set -> set.put("controlUsed", true)).expect(200);
    }

    protected void clear() {
        callForControl(signedIn("Siskin"));
        callForControl(signedIn("Redpoll"));
        settle();
    }

    protected void callForControl(Caller caller) {
        markGate(caller, treePath());
        List<String> ids = ClearTree.read(caller, treePath(), (character, state) -> read(caller, character, state));
        caller.put(treePath() + "/determinations/" + UUID.randomUUID(), signature("taxon", "serotina", ids))
                .expect(200);
    }

    protected void settle() {
        JsonNode row = rowOf(lead);
        JsonNode table = lead.get(casePath(row)).expect(200);
        lead.put(decision(row), decision("agree", table, "", 0)).expect(200);
        later(Duration.ofHours(1));
        lead = signedIn("Treecreeper");
    }

    protected JsonNode rowOfList(Caller caller) {
        return ClearTree.row(caller, surveyPath(), tree);
    }

    protected static List<String> kinds(JsonNode row) {
        List<String> kinds = new ArrayList<>();
        row.path("missing").forEach(one -> kinds.add(one.path("kind").asText()));
        return kinds;
    }

    protected JsonNode card() {
        return ClearTree.card(signedIn("Woodcock"), tree);
    }

    protected Caller.Answer approve(boolean yes) {
        return approve(lead, yes);
    }

    protected Caller.Answer approve(Caller caller, boolean yes) {
        JsonNode row = rowOfList(lead);
        String stands = row == null
                ? UUID.randomUUID().toString()
                : row.path("determinationId").asText();
        return caller.put(approval(), Map.of("determinationId", stands, "approved", yes));
    }

    protected String approval() {
        return surveyPath() + "/control/trees/" + tree + "/approvals/" + UUID.randomUUID();
    }

    protected String plotAddress() {
        return surveyPath() + "/plots/" + plot;
    }

    protected static Map<String, Object> stemOf(int tag, double azimuth, double distance) {
        Map<String, Object> stem = new HashMap<>(stemBody(tag, "birches"));
        stem.put("azimuthDegrees", azimuth);
        stem.put("distanceMetres", distance);
        stem.remove("groupId");
        return stem;
    }

    protected void plain(int tag, String name, double azimuth, double distance) {
        Map<String, Object> stem = stemOf(tag, azimuth, distance);
        stem.put("plainTaxon", name);
        lead.put(plotAddress() + "/trees/" + UUID.randomUUID(), stem).expect(200);
    }
}
