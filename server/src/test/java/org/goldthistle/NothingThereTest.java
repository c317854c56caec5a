package org.goldthistle;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Whoever names what is not there, or says what nobody knows, hears which it is. */
class NothingThereTest extends ServerTest {
    private final UUID nothing = UUID.randomUUID();

    @Test
    void of_people() {
        Caller lead = signedIn("Treecreeper");

        lead.put("/api/people/" + nothing + "/role", Map.of("role", "crew")).expectProblem(404, "no-such-observer");
        lead.put("/api/people/" + demoId("observer Wren") + "/role", Map.of("role", "king"))
                .expectProblem(422, "no-such-role");
        lead.put("/api/session/lacking", Map.of()).expectProblem(400, "incomplete");
        String link = lead.put(
                        "/api/invitations/" + nothing,
                        Map.of("callSign", "Grebe", "role", "crew", "surveyIds", List.of()))
                .expect(200)
                .path("token")
                .asText();
        Caller guest = stranger();
        guest.get("/api/session");
        guest.put("/api/welcome", Map.of("token", link, "passphrase", "short")).expectProblem(422, "short-passphrase");
    }

    @Test
    void of_plots_sheets_and_reviews() {
        Caller siskin = signedIn("Siskin");

        siskin.get(surveyPath() + "/plots/" + nothing).expectProblem(404, "no-such-plot");
        siskin.get("/api/sheets/" + nothing).expectProblem(404, "no-such-sheet");
        siskin.get(surveyPath() + "/review/" + nothing).expectProblem(404, "no-such-case");
        siskin.put("/api/drafts/" + nothing, Map.of("from", "thin air")).expectProblem(403, "not-yours-to-do");
        signedIn("Nuthatch")
                .put("/api/drafts/" + nothing, Map.of("from", "thin air"))
                .expectProblem(422, "no-such-beginning");
    }

    @Test
    void of_trees_and_calls() {
        Caller siskin = signedIn("Siskin");
        UUID plot = UUID.randomUUID();
        UUID bearer = UUID.randomUUID();
        plant(siskin, plot, bearer, "birches");
        String trees = surveyPath() + "/plots/" + plot + "/trees/";
        Map<String, Object> stem = new HashMap<>(stemBody(8, "birches"));
        stem.put("cloneOf", bearer);
        siskin.put(trees + UUID.randomUUID(), stem).expect(200);
        UUID plain = UUID.randomUUID();
        Map<String, Object> oak = new HashMap<>(stemBody(9, "birches"));
        oak.remove("groupId");
        oak.put("plainTaxon", "Quercus robur");
        siskin.put(trees + plain, oak).expect(200);

        siskin.delete(surveyPath() + "/trees/" + bearer).expectProblem(422, "bears-a-clone");
        siskin.put(surveyPath() + "/trees/" + plain + "/tier", Map.of("tier", "record"))
                .expectProblem(409, "plain-tree");
        siskin.put(surveyPath() + "/trees/" + bearer + "/tier", Map.of("tier", "guess"))
                .expectProblem(422, "no-such-tier");
        siskin.put(surveyPath() + "/trees/" + bearer + "/determinations/" + UUID.randomUUID(), signature("perhaps"))
                .expectProblem(422, "no-such-outcome");
    }
}
