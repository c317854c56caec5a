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
    void nothing_comes_in_parts() {
        Caller siskin = signedIn("Siskin");

        assertThat(siskin.sendAs("multipart/form-data; boundary=", "PUT", treePath(9) + "/tier", "--")
                        .status())
                .isEqualTo(415);
    }
}
