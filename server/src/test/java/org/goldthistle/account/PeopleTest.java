package org.goldthistle.account;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;

/** How a lead lets people in, and out. */
class PeopleTest extends ServerTest {
    private static final String CHOSEN = "heron-carr-at-dawn";

    @Test
    void an_invitation_lets_one_person_in_once_and_into_the_lead_s_surveys() {
        String token = invite(signedIn("Treecreeper"), "Linnet", "crew");
        Caller guest = guest(token);
        assertThat(guest.post("/api/welcome", Map.of("token", token))
                        .expect(200)
                        .path("callSign")
                        .asText())
                .isEqualTo("Linnet");

        guest.put("/api/welcome", Map.of("token", token, "passphrase", CHOSEN)).expect(204);

        Caller linnet = stranger();
        linnet.signIn("Linnet", CHOSEN).expect(200);
        assertThat(linnet.get("/api/surveys").expect(200).findValuesAsText("id"))
                .containsExactly(demoId("survey Tarnholt").toString());
        guest.put("/api/welcome", Map.of("token", token, "passphrase", CHOSEN))
                .expectProblem(404, "no-such-invitation");
    }

    @Test
    void a_link_ages_and_is_taken_back_and_its_secret_is_not_stored() {
        Caller lead = signedIn("Treecreeper");
        String old = invite(lead, "Twite", "crew");
        later(Duration.ofDays(8));
        guest(old).post("/api/welcome", Map.of("token", old)).expectProblem(404, "no-such-invitation");
        lead = signedIn("Treecreeper");
        UUID id = UUID.randomUUID();
        String token = invite(lead, id, "Twite", "crew");
        assertThat(jdbc.sql("select count(*) from invitation where token_sha256 = ?")
                        .param(token)
                        .query(Integer.class)
                        .single())
                .isZero();

        lead.delete("/api/invitations/" + id).expect(204);

        guest(token).post("/api/welcome", Map.of("token", token)).expectProblem(404, "no-such-invitation");
    }

    @Test
    void a_call_sign_that_is_taken_and_a_survey_that_is_not_the_lead_s_are_refused() {
        Caller lead = signedIn("Treecreeper");

        lead.put(
                        "/api/invitations/" + UUID.randomUUID(),
                        Map.of("callSign", "dipper", "role", "crew", "surveyIds", List.of()))
                .expectProblem(409, "call-sign-taken");
        lead.put(
                        "/api/invitations/" + UUID.randomUUID(),
                        Map.of(
                                "callSign", "Serin",
                                "role", "crew",
                                "surveyIds", List.of(demoId("survey Long Ride"))))
                .expectProblem(404, "no-such-survey");
    }

    @Test
    void a_new_passphrase_by_link_ends_the_sessions_of_before() {
        Caller lead = signedIn("Treecreeper");
        Caller robin = newcomer(lead, "Robin", "crew");
        String token = lead.put("/api/people/" + idOf(lead, "Robin") + "/resets/" + UUID.randomUUID(), Map.of())
                .expect(200)
                .path("token")
                .asText();
        robin.get("/api/surveys").expect(200);

        guest(token)
                .put("/api/welcome", Map.of("token", token, "passphrase", "another-one-entirely"))
                .expect(204);

        robin.get("/api/surveys").expectProblem(401, "not-signed-in");
        stranger().signIn("Robin", CHOSEN).expectProblem(401, "wrong-passphrase");
        stranger().signIn("Robin", "another-one-entirely").expect(200);
    }

    @Test
    void whoever_is_kept_out_is_out_at_once() {
        Caller lead = signedIn("Treecreeper");
        Caller wagtail = newcomer(lead, "Wagtail", "reviewer");

        lead.put("/api/people/" + idOf(lead, "Wagtail") + "/disabled", Map.of("disabled", true))
                .expect(200);

        wagtail.get("/api/surveys").expectProblem(401, "not-signed-in");
        stranger().signIn("Wagtail", CHOSEN).expectProblem(401, "wrong-passphrase");
        lead.put("/api/people/" + idOf(lead, "Wagtail") + "/disabled", Map.of("disabled", false))
                .expect(200);
        stranger().signIn("Wagtail", CHOSEN).expect(200);
    }

    @Test
    void the_last_lead_stays_one() {
        Caller lead = signedIn("Treecreeper");
        String self = "/api/people/" + demoId("observer Treecreeper");

        lead.put(self + "/role", Map.of("role", "crew")).expectProblem(422, "last-lead");
        lead.put(self + "/disabled", Map.of("disabled", true)).expectProblem(422, "last-lead");
    }

    @Test
    void two_leads_who_demote_each_other_at_once_do_not_both_succeed() {
        Caller lead = signedIn("Treecreeper");
        newcomer(lead, "Firecrest", "lead");
        String treecreeper = "/api/people/" + demoId("observer Treecreeper") + "/role";
        String firecrest = "/api/people/" + idOf(lead, "Firecrest") + "/role";
        for (int round = 0; round < 10; round++) {
            Caller one = signedIn("Treecreeper");
            Caller other = stranger();
            other.signIn("Firecrest", CHOSEN).expect(200);

            CompletableFuture<Integer> first = CompletableFuture.supplyAsync(
                    () -> one.put(firecrest, Map.of("role", "crew")).status());
            CompletableFuture<Integer> second = CompletableFuture.supplyAsync(
                    () -> other.put(treecreeper, Map.of("role", "crew")).status());
            List<Integer> answers = List.of(first.join(), second.join());

            assertThat(answers).containsOnlyOnce(200).doesNotContain(500);
            boolean treecreeperStayed = answers.get(0) == 200;
            Caller left = treecreeperStayed ? signedIn("Treecreeper") : stranger();
            if (!treecreeperStayed) {
                left.signIn("Firecrest", CHOSEN).expect(200);
            }
            left.put(treecreeperStayed ? firecrest : treecreeper, Map.of("role", "lead"))
                    .expect(200);
        }
        signedIn("Treecreeper").put(firecrest, Map.of("role", "crew")).expect(200);
    }

    @Test
    void a_passphrase_of_one_character_or_beyond_what_is_hashed_is_refused() {
        Caller lead = signedIn("Treecreeper");
        String token = invite(lead, "Ouzel", "crew");
        Caller guest = guest(token);

        guest.put("/api/welcome", Map.of("token", token, "passphrase", "aaaaaaaaaaaaaaaa"))
                .expectProblem(422, "plain-passphrase");
        guest.put("/api/welcome", Map.of("token", token, "passphrase", "é1ü2ö3".repeat(9)))
                .expectProblem(422, "long-passphrase");
        guest.put("/api/welcome", Map.of("token", token, "passphrase", CHOSEN)).expect(204); // the link is not used up
    }

    @Test
    void a_common_passphrase_is_refused_however_long() {
        String token = invite(signedIn("Treecreeper"), "Ouzel Cock", "crew");
        Caller guest = guest(token);

        for (String common :
                List.of("password123456", "qwertyuiop1234", "Ouzel Cock goldthistle", "abcdefghijklmnop")) {
            guest.put("/api/welcome", Map.of("token", token, "passphrase", common))
                    .expectProblem(422, "plain-passphrase");
        }
    }

    @Test
    void a_call_sign_is_of_one_script_and_unlike_others() {
        Caller lead = signedIn("Treecreeper");

        for (String alike : List.of("Dıpper", "Dipper\u200B", " dipper ", "Ｄipper", "Wreп")) {
            assertThat(invitation(lead, alike).status()).as(alike).isIn(409, 422);
        }
        invitation(lead, "Dipp\u0435r").expectProblem(422, "unfit-call-sign"); // a Cyrillic letter among Latin ones
        invitation(lead, "\u200B\u200B").expectProblem(422, "unfit-call-sign");
        invitation(lead, "Bluethroаt").expectProblem(422, "unfit-call-sign");
        invitation(lead, "Сойка").expect(200);
        invitation(lead, "  Blue   throat ").expect(200);
        assertThat(lead.get("/api/people").expect(200).path("invitations").findValuesAsText("callSign"))
                .contains("Blue throat");
    }

    @Test
    void a_lead_answers_for_those_of_their_own_surveys_alone() {
        Caller lead = signedIn("Treecreeper");
        Caller other = newcomer(lead, "Brambling", "lead");
        UUID apart = UUID.randomUUID();
        changeMembers(lead, members -> members.remove(idOf(lead, "Brambling")));
        String wren = "/api/people/" + demoId("observer Wren");

        other.put(wren + "/resets/" + UUID.randomUUID(), Map.of()).expectProblem(403, "not-your-crew");
        other.put(wren + "/role", Map.of("role", "lead")).expectProblem(403, "not-your-crew");
        other.put(wren + "/disabled", Map.of("disabled", true)).expectProblem(403, "not-your-crew");
        invite(lead, apart, "Hawfinch", "crew");
        other.delete("/api/invitations/" + apart).expectProblem(403, "not-yours");
        assertThat(other.get("/api/people").expect(200).path("invitations")).isEmpty();
        lead.put("/api/invitations/" + apart, Map.of("callSign", "Goldcrest", "role", "lead", "surveyIds", List.of()))
                .expectProblem(409, "id-taken");
        lead.put("/api/people/" + idOf(lead, "Brambling") + "/role", Map.of("role", "crew"))
                .expect(200); // who belongs to no survey is anybody's
    }

    @Test
    void a_replaced_passphrase_is_told_and_marks_what_is_signed_within_the_hour() {
        Caller lead = signedIn("Treecreeper");
        newcomer(lead, "Fieldfare", "crew");
        String token = lead.put("/api/people/" + idOf(lead, "Fieldfare") + "/resets/" + UUID.randomUUID(), Map.of())
                .expect(200)
                .path("token")
                .asText();
        guest(token)
                .put("/api/welcome", Map.of("token", token, "passphrase", "another-one-entirely"))
                .expect(204);
        Caller fieldfare = stranger();

        JsonNode told = fieldfare.signIn("Fieldfare", "another-one-entirely").expect(200);

        assertThat(told.path("notices").toString()).contains("by a link that Treecreeper made");
        UUID tree = UUID.randomUUID();
        plant(fieldfare, UUID.randomUUID(), tree, "birches");
        String signatures = surveyPath() + "/trees/" + tree + "/determinations/";
        assertThat(fieldfare
                        .put(signatures + UUID.randomUUID(), signature("group"))
                        .expect(200)
                        .at("/determinations/0/soonAfterReset")
                        .asBoolean())
                .isTrue();
        later(Duration.ofMinutes(61));
        assertThat(fieldfare
                        .put(signatures + UUID.randomUUID(), signature("group"))
                        .expect(200)
                        .at("/determinations/0/soonAfterReset")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void sessions_lie_still_for_as_long_as_the_leads_say() {
        Caller lead = signedIn("Treecreeper");
        Caller wren = signedIn("Wren");

        lead.put("/api/people/idle-limit", Map.of("minutes", 2)).expectProblem(422, "unfit-idle-limit");
        lead.put("/api/people/idle-limit", Map.of("minutes", 30)).expect(200);

        jdbc.sql("update spring_session set last_access_time = last_access_time - 31 * 60000,"
                        + " expiry_time = expiry_time - 31 * 60000 where principal_name = ?")
                .param(demoId("observer Wren").toString())
                .update();
        wren.get("/api/surveys").expectProblem(401, "not-signed-in");
        lead.put("/api/people/idle-limit", Map.of("minutes", 720)).expect(200);
    }

    private static void changeMembers(Caller lead, Consumer<List<String>> change) {
        changeSurvey(lead, settings -> {
                    List<String> members = new ArrayList<>();
                    settings.path("members").forEach(one -> members.add(one.asText()));
                    change.accept(members);
                    settings.putArray("members");
                    members.forEach(settings.withArray("members")::add);
                })
                .expect(200);
    }

    private Caller newcomer(Caller lead, String callSign, String role) {
        String token = invite(lead, callSign, role);
        guest(token)
                .put("/api/welcome", Map.of("token", token, "passphrase", CHOSEN))
                .expect(204);
        Caller caller = stranger();
        caller.signIn(callSign, CHOSEN).expect(200);
        return caller;
    }

    private Caller guest(String token) {
        assertThat(token).hasSizeGreaterThan(40);
        Caller guest = stranger();
        guest.get("/api/session"); // hands out the token against foreign pages
        return guest;
    }

    private static String idOf(Caller lead, String callSign) {
        for (JsonNode person : lead.get("/api/people").expect(200).path("people")) {
            if (person.path("callSign").asText().equals(callSign)) {
                return person.path("id").asText();
            }
        }
        throw new AssertionError("nobody is called " + callSign);
    }

    private static String invite(Caller lead, String callSign, String role) {
        return invite(lead, UUID.randomUUID(), callSign, role);
    }

    private static Caller.Answer invitation(Caller lead, String callSign) {
        return lead.put(
                "/api/invitations/" + UUID.randomUUID(),
                Map.of("callSign", callSign, "role", "crew", "surveyIds", List.of()));
    }

    private static String invite(Caller lead, UUID id, String callSign, String role) {
        return lead.put(
                        "/api/invitations/" + id,
                        Map.of(
                                "callSign", callSign,
                                "role", role,
                                "surveyIds", List.of(demoId("survey Tarnholt"))))
                .expect(200)
                .path("token")
                .asText();
    }
}
