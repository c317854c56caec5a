package org.goldthistle.race;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.Caller;

/** People let in and out, twice at one instant. */
class PeopleRaceTest extends RaceCase {
    @Override
    List<Race> races() {
        List<Race> all = new ArrayList<>();
        people(all);
        accounts(all);
        tokens(all);
        return all;
    }

    private void people(List<Race> all) {
        String of = "/api/people/";
        all.add(new Race("PUT /api/invitations/{invitationId}", "one id twice", () -> {
            String path = "/api/invitations/" + UUID.randomUUID();
            Object body = invitation(callSign());
            return same(() -> lead.put(path, body), BOTH);
        }));
        all.add(new Race("DELETE /api/invitations/{invitationId}", "taken back while it is used", () -> {
            UUID id = UUID.randomUUID();
            String token = token(id, callSign());
            Caller guest = guest();
            return new Round(
                    () -> lead.delete("/api/invitations/" + id),
                    () -> guest.put("/api/welcome", chosen(token)),
                    (one, other) -> assertThat(other.status()).isIn(204, 404));
        }));
        all.add(new Race("PUT /api/welcome", "one link twice", () -> {
            String token = token(UUID.randomUUID(), callSign());
            Caller one = guest();
            Caller other = guest();
            return new Round(
                    () -> one.put("/api/welcome", chosen(token)), () -> other.put("/api/welcome", chosen(token)), ONE);
        }));
        all.add(new Race("PUT /api/welcome", "two links for one call sign", () -> {
            String callSign = callSign();
            String first = token(UUID.randomUUID(), callSign);
            String second = token(UUID.randomUUID(), callSign);
            Caller one = guest();
            Caller other = guest();
            return new Round(
                    () -> one.put("/api/welcome", chosen(first)), () -> other.put("/api/welcome", chosen(second)), ONE);
        }));
        all.add(new Race("POST /api/welcome", "looked at while it is used", () -> {
            String token = token(UUID.randomUUID(), callSign());
            Caller one = guest();
            Caller other = guest();
            return new Round(
                    () -> one.post("/api/welcome", Map.of("token", token)),
                    () -> other.put("/api/welcome", chosen(token)),
                    (looked, used) -> used.expect(204));
        }));
        all.add(new Race("PUT " + of + "{observerId}/resets/{invitationId}", "one id twice", () -> {
            String path = "/api/people/" + demoId("observer Wren") + "/resets/" + UUID.randomUUID();
            return same(() -> lead.put(path, Map.of()), BOTH);
        }));
    }

    private void accounts(List<Race> all) {
        String of = "/api/people/";
        all.add(new Race(
                "PUT " + of + "idle-limit",
                "two leads' pages",
                () -> new Round(
                        () -> lead.put("/api/people/idle-limit", Map.of("minutes", 700)),
                        () -> lead.put("/api/people/idle-limit", Map.of("minutes", 720)),
                        BOTH)));
        all.add(new Race("PUT " + of + "{observerId}/role", "two roles", () -> {
            String path = "/api/people/" + newcomer() + "/role";
            return new Round(
                    () -> lead.put(path, Map.of("role", "reviewer")),
                    () -> lead.put(path, Map.of("role", "crew")),
                    BOTH);
        }));
        all.add(new Race("PUT " + of + "{observerId}/disabled", "kept out and given a role", () -> {
            String path = "/api/people/" + newcomer();
            return new Round(
                    () -> lead.put(path + "/disabled", Map.of("disabled", true)),
                    () -> lead.put(path + "/role", Map.of("role", "reviewer")),
                    BOTH);
        }));
        all.add(new Race("POST /api/session", "two devices", () -> {
            Caller one = guest();
            Caller other = guest();
            return new Round(() -> one.signIn("Wren", PASSPHRASE), () -> other.signIn("Wren", PASSPHRASE), BOTH);
        }));
        all.add(new Race("DELETE /api/session", "while it reads", () -> {
            Caller wren = signedIn("Wren");
            return new Round(() -> wren.delete("/api/session"), () -> wren.get("/api/surveys"), ANY);
        }));
        all.add(new Race("DELETE /api/session/everywhere", "while another device writes", () -> {
            Caller one = signedIn("Wren");
            Caller other = signedIn("Wren");
            return new Round(
                    () -> one.delete("/api/session/everywhere"),
                    () -> other.put("/api/session/lacking", Map.of("lacking", List.of())),
                    ANY);
        }));
        all.add(new Race(
                "PUT /api/session/lacking",
                "two tabs",
                () -> new Round(
                        () -> siskin.put("/api/session/lacking", Map.of("lacking", List.of("smell"))),
                        () -> siskin.put("/api/session/lacking", Map.of("lacking", List.of())),
                        BOTH)));
    }

    private void tokens(List<Race> all) {
        all.add(new Race("PUT /api/tokens/{tokenId}", "one id twice", () -> {
            String path = "/api/tokens/" + UUID.randomUUID();
            return new Round(
                    () -> siskin.put(path, Map.of("name", "tally", "scope", "reading")),
                    () -> siskin.put(path, Map.of("name", "tally", "scope", "reading")),
                    (one, other) -> {
                        BOTH.of(one, other);
                        siskin.delete(path).expect(204); // so that there never are too many
                    });
        }));
        all.add(new Race("DELETE /api/tokens/{tokenId}", "taken back while it is made anew", () -> {
            String path = "/api/tokens/" + UUID.randomUUID();
            siskin.put(path, Map.of("name", "tally", "scope", "reading")).expect(200);
            return new Round(
                    () -> siskin.delete(path),
                    () -> siskin.put(path, Map.of("name", "tally", "scope", "reading")),
                    (one, other) -> {
                        one.expect(204);
                        other.expect(200);
                        siskin.delete(path).expect(204); // so that there never are too many
                    });
        }));
    }

    private static String callSign() {
        String letters = UUID.randomUUID().toString().replaceAll("[^a-f]", "") + "xyz";
        return "Bird " + letters + " "
                + UUID.randomUUID().toString().substring(0, 8).replaceAll("[^a-f]", "q");
    }

    private static Map<String, Object> invitation(String callSign) {
        return Map.of("callSign", callSign, "role", "crew", "surveyIds", List.of(demoId("survey Tarnholt")));
    }

    private String token(UUID id, String callSign) {
        return lead.put("/api/invitations/" + id, invitation(callSign))
                .expect(200)
                .path("token")
                .asText();
    }

    private static Map<String, Object> chosen(String token) {
        return Map.of("token", token, "passphrase", "heron-carr-at-dawn");
    }

    private Caller guest() {
        Caller guest = stranger();
        guest.get("/api/session"); // hands out the token against foreign pages
        return guest;
    }

    private UUID newcomer() {
        String callSign = callSign();
        guest().put("/api/welcome", chosen(token(UUID.randomUUID(), callSign))).expect(204);
        return jdbc.sql("select id from observer where call_sign = ?")
                .param(callSign)
                .query(UUID.class)
                .single();
    }
}
