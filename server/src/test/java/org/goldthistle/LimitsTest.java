package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Nobody makes the server hold more than a request of its kind needs. */
class LimitsTest extends ServerTest {
    @Test
    void a_stranger_s_call_sign_of_many_megabytes_is_not_read() {
        Caller stranger = stranger();
        stranger.get("/api/session");
        String much = "x".repeat(2_000_000);

        stranger.post("/api/session", Map.of("callSign", much, "passphrase", "x"))
                .expectProblem(413, "too-large");
        stranger.sendInPieces(
                        "POST", "/api/session", ("{\"callSign\": \"" + much + "\"}").getBytes(StandardCharsets.UTF_8))
                .expectProblem(413, "too-large"); // which says nothing of its length
        assertThat(stranger.sendAs("image/png", "POST", "/api/session", much).status())
                .isEqualTo(415); // and is not read as anything else
        assertThat(stranger.signIn("Siskin", PASSPHRASE).status()).isEqualTo(200);
    }

    @Test
    void json_that_is_too_deep_or_has_endless_numbers_is_refused_in_words() {
        Caller siskin = signedIn("Siskin");
        String reading = treePath(9) + "/readings/" + UUID.randomUUID();

        siskin.put(reading, "[".repeat(5000)).expectProblem(400, "unreadable");
        siskin.put(reading, "{\"values\": [" + "9".repeat(5000) + "]}").expectProblem(400, "unreadable");
    }

    @Test
    void a_nul_is_refused_in_words_wherever_it_stands() {
        Caller siskin = signedIn("Siskin");
        String nul = "\\u0000";
        siskin.put(
                        treePath(9) + "/readings/" + UUID.randomUUID(),
                        "{\"character\": \"a" + nul + "\", \"notSeen\": true}")
                .expectProblem(400, "control-character");
        siskin.put(treePath(9) + "/tier", "{\"tier\": \"\0\"}").expectProblem(400, "control-character");
        siskin.get(surveyPath() + "/trees?find=%00").expectProblem(400, "control-character");
        signedIn("Nuthatch")
                .put("/api/drafts/" + UUID.randomUUID(), "{\"sheet\": {\"title\": \"" + nul + "\"}}")
                .expectProblem(400, "control-character");
    }

    @Test
    void what_the_framework_refuses_has_a_type_too() {
        Caller siskin = signedIn("Siskin");

        siskin.get("/api/nothing-here").expectProblem(404, "not-found");
        siskin.post("/api/surveys", Map.of()).expectProblem(405, "method-not-allowed");
        siskin.sendAs("text/plain", "PUT", treePath(9) + "/tier", "tally").expectProblem(415, "unsupported-media-type");
        siskin.get("/api/surveys/not-an-id/plots").expectProblem(400, "bad-request");
    }

    @Test
    void nothing_comes_in_parts() {
        Caller siskin = signedIn("Siskin");

        assertThat(siskin.sendAs("multipart/form-data; boundary=", "PUT", treePath(9) + "/tier", "--")
                        .status())
                .isEqualTo(415);
    }
}
