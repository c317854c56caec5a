package org.goldthistle.race;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.control.ClearTree;

/** What is said of a tree before it is cut, and after, twice at one instant. */
class ControlRaceTest extends RaceCase {
    private Caller contractor;
    private UUID lastWork;

    @Override
    List<Race> races() {
        return List.of(
                new Race(
                        "PUT /api/surveys/{surveyId}/control/trees/{treeId}/approvals/{approvalId}",
                        "two pages",
                        () -> {
                            clear();
                            lead.put(approval(), said(false)).expect(204);
                            return new Round(
                                    () -> lead.put(approval(), said(true)),
                                    () -> lead.put(approval(), said(true)),
                                    BOTH);
                        }),
                new Race("PUT /api/surveys/{surveyId}/control/looks/{lookId}", "one id twice", () -> {
                    clear();
                    lead.put(approval(), said(true)).expect(204);
                    String path = surveyPath() + "/control/looks/" + UUID.randomUUID();
                    Map<String, Object> nothing = nothingRead();
                    return same(() -> contractor.put(path, nothing), BOTH);
                }),
                new Race("PUT /api/surveys/{surveyId}/control/works/{workId}", "two contractors", () -> {
                    clear();
                    UUID one = UUID.randomUUID();
                    UUID other = UUID.randomUUID();
                    UUID before = lastWork;
                    return new Round(() -> work(one, before), () -> work(other, before), (first, second) -> {
                        ONE.of(first, second);
                        lastWork = first.status() < 300 ? one : other;
                    });
                }));
    }

    private Caller.Answer work(UUID id, UUID after) {
        Map<String, Object> body = new HashMap<>(
                Map.of("treeId", tree, "what", "left", "doneOn", "2026-09-14", "note", "stands by the path"));
        body.put("after", after);
        return contractor.put(surveyPath() + "/control/works/" + id, body);
    }

    private Map<String, Object> nothingRead() {
        JsonNode card = ClearTree.card(contractor, tree);
        return Map.of(
                "treeId", tree,
                "approvalId", card.path("approvalId").asText(),
                "sheetVersionId", card.path("sheetVersionId").asText(),
                "month", card.at("/asked/0/circumstances/month").asInt(),
                "lookedAt", "2026-09-14T08:00:00Z",
                "readings", List.of(),
                "gate", List.of());
    }

    private String approval() {
        return surveyPath() + "/control/trees/" + tree + "/approvals/" + UUID.randomUUID();
    }

    private Map<String, Object> said(boolean approved) {
        String stands =
                ClearTree.row(lead, surveyPath(), tree).path("determinationId").asText();
        return Map.of("determinationId", stands, "approved", approved);
    }

    /** A tree that a lead may approve, once for all rounds. */
    private void clear() {
        if (contractor != null) {
            return;
        }
        contractor = signedIn("Woodcock");
        changeSurvey(lead, set -> set.put("controlUsed", true)).expect(200);
        for (Caller one : List.of(siskin, redpoll)) {
            markGate(one, treePath());
            List<String> ids = ClearTree.read(one, treePath(), (character, state) -> read(one, character, state));
            one.put(
                            treePath() + "/determinations/" + UUID.randomUUID(),
                            signature("taxon", "serotina", new ArrayList<>(ids)))
                    .expect(200);
        }
        JsonNode row = rowOf(lead);
        JsonNode table = lead.get(casePath(row)).expect(200);
        lead.put(decision(row), decision("agree", table, "", 0)).expect(200);
        lead.put(approval(), said(true)).expect(204);
    }
}
