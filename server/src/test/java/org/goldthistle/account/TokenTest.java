package org.goldthistle.account;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;

/** Tokens for scripts: shown once, within their scope, taken back, and never a way to more. */
class TokenTest extends ServerTest {
    private static final String SURVEY = demoId("survey Tarnholt").toString();

    @Test
    void a_script_reads_with_a_token_and_writes_nothing() {
        Caller siskin = signedIn("Siskin");
        String secret = made(siskin, UUID.randomUUID(), Map.of("name", "tally of the week", "scope", "reading"));
        Caller script = stranger();

        assertThat(script.withToken(secret, "GET", "/api/surveys", null).expect(200))
                .isNotEmpty();
        script.withToken(secret, "GET", treePath(40) + "/bench", null).expect(200);
        script.withToken(secret, "PUT", treePath(40) + "/tier", Map.of("tier", "record"))
                .expectProblem(403, "beyond-token");
        script.withToken(secret, "GET", "/api/people", null).expectProblem(403, "beyond-token");
        script.withToken(secret, "GET", "/api/tokens", null).expectProblem(403, "beyond-token");
    }

    @Test
    void a_token_for_a_survey_writes_there_and_nowhere_else() {
        Caller siskin = signedIn("Siskin");
        String secret =
                made(siskin, UUID.randomUUID(), Map.of("name", "calipers", "scope", "survey", "surveyId", SURVEY));
        Caller script = stranger();

        script.withToken(secret, "PUT", treePath(4) + "/tier", Map.of("tier", "record"))
                .expect(200);
        script.withToken(secret, "GET", "/api/sheets", null).expect(200);
        script.withToken(secret, "GET", "/api/surveys/" + UUID.randomUUID() + "/plots", null)
                .expectProblem(403, "beyond-token");
        script.withToken(secret, "PUT", "/api/tokens/" + UUID.randomUUID(), Map.of("name", "more", "scope", "reading"))
                .expectProblem(403, "beyond-token");
        siskin.put(
                        "/api/tokens/" + UUID.randomUUID(),
                        Map.of("name", "not mine", "scope", "survey", "surveyId", UUID.randomUUID()))
                .expectProblem(404, "no-such-survey");
    }

    @Test
    void the_secret_is_told_once_and_works_until_it_is_taken_back() {
        Caller siskin = signedIn("Siskin");
        UUID id = UUID.randomUUID();
        String first = made(siskin, id, Map.of("name", "tally", "scope", "reading"));
        String second = made(siskin, id, Map.of("name", "tally", "scope", "reading"));
        Caller script = stranger();

        JsonNode listed = siskin.get("/api/tokens").expect(200);
        script.withToken(first, "GET", "/api/surveys", null).expectProblem(401, "unknown-token");
        script.withToken(second, "GET", "/api/surveys", null).expect(200);
        later(Duration.ofMinutes(5));
        script.withToken(second, "GET", "/api/surveys", null).expect(200);
        JsonNode used = siskin.get("/api/tokens").expect(200);
        siskin.delete("/api/tokens/" + id).expect(204);

        assertThat(listed.toString()).contains("tally").doesNotContain(first).doesNotContain(second);
        assertThat(used.findValuesAsText("lastUsedAt")).anyMatch(at -> at.startsWith("2026-09-14T09:05"));
        script.withToken(second, "GET", "/api/surveys", null).expectProblem(401, "unknown-token");
        assertThat(jdbc.sql("select count(*) from api_token where token_sha256 in (?, ?)")
                        .params(first, second)
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void what_is_asked_for_must_make_sense_and_nobody_takes_anothers() {
        Caller siskin = signedIn("Siskin");
        Caller dipper = signedIn("Dipper");
        UUID id = UUID.randomUUID();
        String secret = made(siskin, id, Map.of("name", "tally", "scope", "reading"));

        for (Map<String, Object> wrong : List.<Map<String, Object>>of(
                Map.of("name", "x", "scope", "everything"),
                Map.of("name", "x", "scope", "survey"),
                Map.of("name", "x", "scope", "reading", "surveyId", SURVEY))) {
            siskin.put("/api/tokens/" + UUID.randomUUID(), wrong).expectProblem(422, "no-such-scope");
        }
        dipper.put("/api/tokens/" + id, Map.of("name", "x", "scope", "reading")).expectProblem(409, "id-taken");
        dipper.delete("/api/tokens/" + id).expect(204); // there is none of theirs
        stranger().withToken(secret, "GET", "/api/surveys", null).expect(200);
        stranger().withToken("guessed", "GET", "/api/surveys", null).expectProblem(401, "unknown-token");
    }

    @Test
    void there_are_only_so_many_and_none_outlives_its_observers_passphrase() {
        Caller lead = signedIn("Treecreeper");
        Caller wren = signedIn("Wren");
        String secret = made(wren, UUID.randomUUID(), Map.of("name", "0", "scope", "reading"));
        for (int i = 1; i < 20; i++) {
            made(wren, UUID.randomUUID(), Map.of("name", "" + i, "scope", "reading"));
        }
        wren.put("/api/tokens/" + UUID.randomUUID(), Map.of("name", "one more", "scope", "reading"))
                .expectProblem(422, "too-many-tokens");

        String link = lead.put("/api/people/" + demoId("observer Wren") + "/resets/" + UUID.randomUUID(), Map.of())
                .expect(200)
                .path("token")
                .asText();
        Caller guest = stranger();
        guest.get("/api/session");
        guest.put("/api/welcome", Map.of("token", link, "passphrase", "heron-carr-at-dawn"))
                .expect(204);

        stranger().withToken(secret, "GET", "/api/surveys", null).expectProblem(401, "unknown-token");
    }

    private static String made(Caller observer, UUID id, Map<String, Object> asked) {
        return observer.put("/api/tokens/" + id, asked)
                .expect(200)
                .path("secret")
                .asText();
    }
}
