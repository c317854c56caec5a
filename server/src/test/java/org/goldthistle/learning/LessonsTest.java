package org.goldthistle.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.review.TreeUnderReview;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** What verified trees say of the sheets, and what of it is taken into a draft. */
class LessonsTest extends TreeUnderReview {

    private final UUID file = UUID.randomUUID();

    @AfterEach
    void take_the_file_out() {
        signedIn("Treecreeper").delete(filePath(file)).expect(204);
    }

    @Test
    void a_settled_case_that_a_lead_verifies_is_held_against_what_was_believed() {
        Caller lead = signedIn("Treecreeper");
        String path = settledCase();
        int before = trees(lead, "bird-cherries");
        JsonNode settled = lead.get(path).expect(200);
        assertThat(settled.path("verified").asBoolean()).isFalse();
        assertThat(settled.path("mayVerify").asBoolean()).isTrue();
        assertThat(signedIn("Redpoll").get(path).expect(200).path("mayVerify").asBoolean())
                .isFalse();
        UUID mark = UUID.randomUUID();

        JsonNode verified = lead.put(path + "/verifications/" + mark, Map.of("verified", true))
                .expect(200);
        lead.put(path + "/verifications/" + mark, Map.of("verified", true)).expect(200);

        assertThat(verified.path("verified").asBoolean()).isTrue();
        assertThat(trees(lead, "bird-cherries")).isEqualTo(before + 1);
        JsonNode points = lesson(lead, "bird-cherries").path("bins");
        assertThat(points.findValuesAsText("treeId")).contains(tree.toString());
        assertThat(jdbc.sql("select count(*) from sight where scope = 'lesson' and trees @> array[?]::uuid[]")
                        .param(tree)
                        .query(Integer.class)
                        .single())
                .isPositive();
        lead.put(path + "/verifications/" + mark, Map.of("verified", false)).expectProblem(409, "id-taken");

        lead.put(path + "/verifications/" + UUID.randomUUID(), Map.of("verified", false))
                .expect(200);
        assertThat(trees(lead, "bird-cherries")).isEqualTo(before);
        assertThat(lead.get(treePath() + "/history").expect(200).toString())
                .contains("marked the review as verified", "took the mark of a verified review back");
    }

    @Test
    void what_is_not_settled_with_a_taxon_cannot_be_verified() {
        Caller lead = signedIn("Treecreeper");
        sign(signedIn("Siskin"), "taxon", "serotina");
        String path = casePath(rowOf(lead));

        lead.put(path + "/verifications/" + UUID.randomUUID(), Map.of("verified", true))
                .expectProblem(409, "not-settled");
        lead.put(path + "/verifications/" + UUID.randomUUID(), Map.of()).expect(400);
    }

    @Test
    void a_file_of_verified_trees_speaks_for_another_weight_which_a_reviewer_takes_into_a_draft() {
        Caller redpoll = signedIn("Redpoll");
        int before = trees(redpoll, "alders");
        redpoll.putBytes(filePath(file) + "?groupId=alders&name=nursery", DrawnFile.ofAlders(300))
                .expect(204);
        redpoll.putBytes(filePath(file) + "?groupId=alders&name=nursery", DrawnFile.ofAlders(300))
                .expect(204);

        JsonNode told = redpoll.get(surveyPath() + "/lessons").expect(200);
        JsonNode proposals = redpoll.get(surveyPath() + "/lessons/alders").expect(200);

        JsonNode alders = lesson(redpoll, "alders");
        assertThat(alders.path("trees").asInt()).isEqualTo(before + 300);
        assertThat(alders.path("enough").asBoolean()).isTrue();
        assertThat(told.path("files").toString()).contains("nursery", "\"addedBy\":\"Redpoll\"");
        assertThat(proposals.path("ruling").asText()).isEqualTo("accept");
        JsonNode lower = null;
        for (JsonNode one : proposals.path("proposals")) {
            if (one.path("character").asText().equals(DrawnFile.SAYS_NOTHING)
                    && one.path("kind").asText().equals("weight")) {
                lower = one;
            }
        }
        assertThat(lower).isNotNull();
        double proposed = lower.at("/changes/0/after/numbers/0").asDouble();
        assertThat(lower.at("/changes/0/before/numbers/0").asDouble()).isGreaterThan(proposed);

        JsonNode draft = redpoll.put(
                        "/api/drafts/" + UUID.randomUUID(),
                        Map.of(
                                "from",
                                "change",
                                "versionId",
                                proposals.path("versionId").asText()))
                .expect(200);
        String path = "/api/drafts/" + draft.path("id").asText();
        Map<String, Object> taken =
                Map.of("surveyId", surveyId(), "character", DrawnFile.SAYS_NOTHING, "kind", "weight");
        JsonNode changed = redpoll.put(path + "/proposals", taken).expect(200);
        JsonNode again = redpoll.put(path + "/proposals", taken).expect(200);
        redpoll.put(path + "/proposals", Map.of("surveyId", surveyId(), "character", "moon", "kind", "weight"))
                .expectProblem(409, "not-proposed");
        signedIn("Nuthatch").put(path + "/proposals", taken).expectProblem(403, "draft-of-another");
        signedIn("Dipper").put(path + "/proposals", taken).expectProblem(403, "not-yours-to-do");
        JsonNode differences = redpoll.get(path + "/differences").expect(200);
        redpoll.delete(path).expect(204);

        assertThat(changed.path("revision").asInt())
                .isEqualTo(draft.path("revision").asInt() + 1);
        assertThat(again.path("revision").asInt())
                .isEqualTo(changed.path("revision").asInt());
        assertThat(differences).hasSize(1);
        assertThat(differences.at("/0/aspect").asText()).isEqualTo("weight");
        assertThat(differences.at("/0/after/numbers/0").asDouble()).isCloseTo(proposed, within(1e-9));
    }

    @Test
    void too_few_trees_propose_nothing_and_can_be_taken_along_as_specimens() {
        Caller redpoll = signedIn("Redpoll");
        int before = trees(redpoll, "alders");
        redpoll.putBytes(filePath(file) + "?groupId=alders&name=few", DrawnFile.ofAlders(39 - before))
                .expect(204);

        JsonNode proposals = redpoll.get(surveyPath() + "/lessons/alders").expect(200);
        JsonNode specimens =
                redpoll.get(surveyPath() + "/lessons/alders/specimens").expect(200);

        assertThat(proposals.path("ruling").asText()).isEqualTo("not-enough-trees");
        assertThat(proposals.path("proposals")).isEmpty();
        assertThat(specimens).hasSize(39);
        JsonNode first = specimens.path(before);
        assertThat(first.path("id").asText()).isEqualTo("few: t0");
        assertThat(first.path("truth").asText()).isEqualTo("glutinosa");
    }

    @Test
    void a_file_that_is_none_is_refused_with_what_is_wrong() {
        Caller redpoll = signedIn("Redpoll");
        String to = filePath(file);

        for (String text : List.of("no json", "[]", "{}", "[{\"id\": \"t\"}]")) {
            redpoll.putBytes(to + "?groupId=alders", text.getBytes(StandardCharsets.UTF_8))
                    .expectProblem(422, "not-verified-trees");
        }
        String oak = new String(DrawnFile.ofAlders(1), StandardCharsets.UTF_8).replace("\"glutinosa\"", "\"oak\"");
        JsonNode problem = redpoll.putBytes(to + "?groupId=alders", oak.getBytes(StandardCharsets.UTF_8))
                .expectProblem(422, "not-verified-trees");
        assertThat(problem.path("detail").asText()).contains("\"oak\"", "Nothing of it was taken");
        redpoll.putBytes(to + "?groupId=palms", DrawnFile.ofAlders(1)).expectProblem(422, "no-such-group");
        redpoll.putBytes(to + "?groupId=alders", new byte[] {(byte) 0xff}).expectProblem(422, "not-text");
        redpoll.putBytes(to + "?groupId=alders", new byte[VerifiedFiles.LARGEST + 1])
                .expectProblem(422, "file-too-large");
        assertThat(redpoll.get(surveyPath() + "/lessons")
                        .expect(200)
                        .path("files")
                        .toString())
                .doesNotContain(file.toString());
    }

    @Test
    void a_file_is_taken_out_by_who_added_it_or_a_lead_alone() {
        signedIn("Redpoll")
                .putBytes(filePath(file) + "?groupId=alders", DrawnFile.ofAlders(1))
                .expect(204);

        signedIn("Nuthatch").delete(filePath(file)).expectProblem(403, "not-yours");
        signedIn("Nuthatch")
                .putBytes(filePath(file) + "?groupId=birches", DrawnFile.ofAlders(1))
                .expectProblem(409, "id-taken");
        signedIn("Redpoll").delete(filePath(file)).expect(204);
        signedIn("Redpoll").delete(filePath(file)).expect(204);
    }

    /** A tree that two read as black cherry and agreed upon; the path of its case. */
    private String settledCase() {
        Caller redpoll = signedIn("Redpoll");
        sign(signedIn("Siskin"), "taxon", "serotina");
        JsonNode row = rowOf(redpoll);
        redpoll.put(casePath(row) + "/taken", Map.of()).expect(200);
        sign(redpoll, "taxon", "serotina");
        JsonNode table = redpoll.get(casePath(row)).expect(200);
        redpoll.put(decision(row), decision("agree", table, "", 0)).expect(200);
        return casePath(row);
    }

    private static String surveyId() {
        return surveyPath().substring(surveyPath().lastIndexOf('/') + 1);
    }

    private static String filePath(UUID id) {
        return "/api/verified-files/" + id;
    }

    private static int trees(Caller caller, String group) {
        return lesson(caller, group).path("trees").asInt();
    }

    private static JsonNode lesson(Caller caller, String group) {
        JsonNode lessons = caller.get(surveyPath() + "/lessons").expect(200);
        for (JsonNode one : lessons.path("groups")) {
            if (one.path("groupId").asText().equals(group)) {
                return one;
            }
        }
        return lessons.path("none");
    }
}
