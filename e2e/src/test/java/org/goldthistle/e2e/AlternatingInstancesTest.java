package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/** Two instances on one database behind a round robin: each request goes to the other one than the request before. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AlternatingInstancesTest {
    private Application one;
    private Application other;

    @BeforeAll
    void start() {
        one = Application.startAfresh(true);
        other = one.another();
    }

    @AfterAll
    void stop() {
        other.close();
        one.close();
    }

    private ApiClient signedIn(String callSign) {
        return new ApiClient(one.url(), other.url()).signedIn(callSign, Application.PASSPHRASE);
    }

    private static String survey(ApiClient caller) {
        return "/api/surveys/" + caller.get("/api/surveys").get(0).path("id").asText();
    }

    @Test
    void a_session_holds_and_ends_at_both() {
        ApiClient wren = signedIn("Wren");
        for (int i = 0; i < 6; i++) {
            wren.get("/api/surveys");
        }

        wren.send("DELETE", "/api/session/everywhere", null).expect(204);

        for (int i = 0; i < 4; i++) {
            assertThat(wren.send("GET", "/api/surveys", null).status()).isEqualTo(401);
        }
    }

    @Test
    void guesses_are_counted_together() {
        int looked = 0;
        for (int i = 0; i < 12; i++) {
            ApiClient guesser = new ApiClient(one.url(), other.url());
            guesser.send("GET", "/api/session", null);
            int status = guesser.send(
                            "POST", "/api/session", Map.of("callSign", "Firecrest", "passphrase", "guess " + i))
                    .status();
            looked += status == 401 ? 1 : 0;
            guesser.send("GET", "/api/session", null); // so that the next guess goes to the other instance
        }

        assertThat(looked).isEqualTo(5);
    }

    @Test
    void a_tree_is_read_and_signed_at_both() {
        ApiClient siskin = signedIn("Siskin");
        String tree = siskin.plant(survey(siskin), "bird-cherries");
        for (String state : List.of("fine-sharp", "fine-sharp", "incurved")) {
            siskin.put(
                    tree + "/readings/" + UUID.randomUUID(),
                    Map.of("character", "tooth-shape", "states", List.of(state), "notSeen", false));
        }

        JsonNode bench = siskin.get(tree + "/bench");

        assertThat(bench.path("readings")).hasSize(1);
        assertThat(bench).isEqualTo(siskin.get(tree + "/bench"));
    }

    @Test
    void a_file_is_checked_and_stored_whichever_instance_is_asked() throws InterruptedException {
        ApiClient lead = signedIn("Treecreeper");
        String file = survey(lead) + "/imports/" + UUID.randomUUID();
        String table = "plot;tag;azimuth;distance;diameter;group\nWrack import;1;10;3;140;birches\n";
        JsonNode sent = lead.send(
                        "PUT", file + "?name=t", "application/octet-stream", table.getBytes(StandardCharsets.UTF_8))
                .expect(200);
        lead.put(file + "/columns", Map.of("columns", sent.path("columns")));
        awaitState(lead, file, "checked");

        lead.put(file + "/stored", Map.of());

        assertThat(awaitState(lead, file, "stored").path("treesNew").asInt()).isEqualTo(1);
    }

    private static JsonNode awaitState(ApiClient caller, String file, String state) throws InterruptedException {
        Instant deadline = Instant.now().plus(Duration.ofSeconds(60));
        JsonNode now = caller.get(file);
        while (!now.path("state").asText().equals(state) && Instant.now().isBefore(deadline)) {
            Thread.sleep(100);
            now = caller.get(file);
        }
        assertThat(now.path("state").asText()).as("%s", now).isEqualTo(state);
        return now;
    }

    @Test
    void a_draft_is_begun_changed_and_saved_and_both_call_by_its_version() {
        ApiClient redpoll = signedIn("Redpoll");
        JsonNode larches = null;
        for (JsonNode sheet : redpoll.get("/api/sheets")) {
            larches = sheet.path("groupId").asText().equals("larches") ? sheet : larches;
        }
        JsonNode draft = redpoll.put(
                "/api/drafts/" + UUID.randomUUID(),
                Map.of("from", "change", "versionId", larches.path("versionId").asText()));
        String path = "/api/drafts/" + draft.path("id").asText();
        ObjectNode sheet = draft.path("sheet").deepCopy();
        sheet.put("why", "Three that stand beside each other in old shelter belts.");
        redpoll.put(path + "/sheet", Map.of("revision", draft.path("revision").asInt(), "sheet", sheet));

        String version = redpoll.put(path + "/version", Map.of("note", "why"))
                .path("versionId")
                .asText();

        for (Application instance : List.of(one, other)) {
            JsonNode seen = new ApiClient(instance.url())
                    .signedIn("Wren", Application.PASSPHRASE)
                    .get("/api/sheets");
            assertThat(seen.findValuesAsText("versionId")).contains(version);
        }
    }

    @Test
    void what_months_ahead_bring_is_played_once_and_seen_at_both() throws InterruptedException {
        ApiClient dipper = signedIn("Dipper");
        Instant deadline = Instant.now().plus(Duration.ofSeconds(60));
        JsonNode today = dipper.get(survey(dipper) + "/today");
        while (today.path("unplayed").asInt() > 0 && Instant.now().isBefore(deadline)) {
            Thread.sleep(200);
            today = dipper.get(survey(dipper) + "/today");
        }

        assertThat(today.path("unplayed").asInt()).isZero();
        dipper.get("/api/session"); // so that the next goes to the other instance
        assertThat(dipper.get(survey(dipper) + "/today")).isEqualTo(today);
    }
}
