package org.goldthistle.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;

class SessionTest extends ServerTest {

    @Test
    void an_observer_signs_in_and_is_known_afterwards() {
        Caller dipper = stranger();

        dipper.signIn("dipper", PASSPHRASE).expect(200);

        assertThat(dipper.get("/api/session").expect(200).path("callSign").asText())
                .isEqualTo("Dipper");
    }

    @Test
    void the_session_cookie_is_kept_from_scripts_and_foreign_sites() {
        Caller.Answer answer = stranger().signIn("Dipper", PASSPHRASE);

        assertThat(answer.setCookies())
                .anyMatch(cookie -> cookie.startsWith("goldthistle=")
                        && cookie.contains("HttpOnly")
                        && cookie.contains("SameSite=Strict"));
    }

    @Test
    void a_wrong_passphrase_and_an_unknown_call_sign_are_told_alike() {
        var wrong = stranger().signIn("Redpoll", "not the passphrase").expectProblem(401, "wrong-passphrase");
        var unknown = stranger().signIn("Nobody here", "not the passphrase").expectProblem(401, "wrong-passphrase");

        ((ObjectNode) wrong).remove("request"); // each has its own
        ((ObjectNode) unknown).remove("request");
        assertThat(unknown).isEqualTo(wrong);
    }

    @Test
    void whoever_guesses_must_wait_and_may_try_again_later() {
        Caller guesser = stranger();
        for (int i = 0; i < 5; i++) {
            guesser.signIn("Treecreeper", "guess " + i).expectProblem(401, "wrong-passphrase");
        }

        stranger().signIn("Treecreeper", PASSPHRASE).expectProblem(429, "locked-out");
        later(Duration.ofSeconds(31));

        guesser.signIn("Treecreeper", PASSPHRASE).expect(200);
    }

    @Test
    void a_device_that_was_signed_in_on_is_not_kept_out_by_a_guesser_and_is_told_of_them() {
        Caller own = signedIn("Nuthatch");
        own.delete("/api/session").expect(204);
        Caller guesser = stranger();
        for (int i = 0; i < 7; i++) {
            guesser.signIn("Nuthatch", "guess " + i);
        }

        stranger().signIn("Nuthatch", PASSPHRASE).expectProblem(429, "locked-out");
        var told = own.signIn("Nuthatch", PASSPHRASE).expect(200);

        assertThat(told.path("notices").toString()).contains("tried to sign in as Nuthatch", "5 times");
        own.delete("/api/session").expect(204);
        assertThat(own.signIn("Nuthatch", PASSPHRASE).expect(200).path("notices"))
                .isEmpty();
        jdbc.sql("delete from sign_in_guard").update(); // other tests sign in from this address too
    }

    @Test
    void failed_tries_are_told_on_a_device_that_nobody_knows_too() {
        Caller guesser = stranger();
        guesser.signIn("Wren", "a guess");
        guesser.signIn("Wren", "another guess");

        assertThat(stranger()
                        .signIn("Wren", PASSPHRASE)
                        .expect(200)
                        .at("/notices/0")
                        .asText())
                .contains("2 times");
        assertThat(stranger().signIn("Wren", PASSPHRASE).expect(200).path("notices"))
                .isEmpty();
    }

    @Test
    void a_session_ends_after_a_month_however_often_it_was_used() {
        Caller wren = signedIn("Wren");
        wren.get("/api/surveys").expect(200);

        jdbc.sql("update spring_session set creation_time = creation_time - 31::bigint * 86400000"
                        + " where principal_name = (select cast(id as text) from observer where call_sign = 'Wren')")
                .update();

        wren.get("/api/surveys").expectProblem(401, "not-signed-in");
    }

    @Test
    void news_of_reviews_end_with_the_session() {
        Caller tablet = signedIn("Wren");
        CompletableFuture<String> news = tablet.stream(surveyPath() + "/review/news");
        Caller laptop = signedIn("Wren");

        laptop.delete("/api/session/everywhere").expect(204);

        assertThat(news.orTimeout(30, TimeUnit.SECONDS).join()).contains("open").doesNotContain("event:case");
    }

    @Test
    void pages_are_told_when_news_come_again_after_the_line_to_the_database_broke() {
        Caller tablet = signedIn("Wren");
        CompletableFuture<String> news = tablet.stream(surveyPath() + "/review/news");
        List<Integer> was = listening(List.of(0));

        jdbc.sql("select pg_terminate_backend(pid) from unnest(cast(? as int[])) pid")
                .param(was.toArray(Integer[]::new))
                .query(Boolean.class)
                .list();

        listening(was);
        signedIn("Wren").delete("/api/session/everywhere").expect(204);
        assertThat(news.orTimeout(30, TimeUnit.SECONDS).join()).contains("event:again");
    }

    /** Those who listen at the database and are not gone; somebody does within half a minute. */
    private List<Integer> listening(List<Integer> gone) {
        return await().atMost(30, TimeUnit.SECONDS)
                .until(
                        () -> jdbc.sql("select pid from pg_stat_activity where datname = current_database()"
                                        + " and query like 'listen %' and pid not in (:gone)")
                                .param("gone", gone)
                                .query(Integer.class)
                                .list(),
                        found -> !found.isEmpty());
    }

    @Test
    void a_broken_cookie_is_no_session_and_breaks_nothing() {
        for (String broken : List.of("AGFi", "not base64!", "%00", "Jyc7LS0=", "x".repeat(4000))) {
            Caller caller = stranger();
            caller.get("/api/session").expect(204);
            assertThat(caller.getWithCookie("/api/surveys", "goldthistle=" + broken)
                            .status())
                    .as(broken)
                    .isIn(400, 401);
        }
    }

    @Test
    void of_many_guesses_at_one_instant_no_more_are_looked_at_than_of_as_many_in_a_row() {
        List<Integer> answers =
                atOnce(20, i -> stranger().signIn("Whitethroat", "guess " + i).status());

        assertThat(answers).containsOnly(401, 429);
        assertThat(answers.stream().filter(status -> status == 401)).hasSize(5);
    }

    @Test
    void while_many_guess_members_go_on_and_nothing_breaks() {
        Caller member = signedIn("Siskin");
        List<Integer> pages = new CopyOnWriteArrayList<>();
        Thread reads = new Thread(() -> {
            for (int i = 0; i < 10; i++) {
                pages.add(member.get("/api/surveys").status());
            }
        });
        reads.start();

        List<Integer> answers =
                atOnce(30, i -> stranger().signIn("Stranger " + i, "guess").status());

        assertThat(answers).contains(401).isSubsetOf(401, 429); // looked at, or told to wait
        assertThat(pages).isNotEmpty().containsOnly(200);
    }

    private static List<Integer> atOnce(int many, IntFunction<Integer> act) {
        ExecutorService pool = Executors.newFixedThreadPool(many);
        try {
            return IntStream.range(0, many)
                    .mapToObj(i -> CompletableFuture.supplyAsync(() -> act.apply(i), pool))
                    .toList()
                    .stream()
                    .map(CompletableFuture::join)
                    .toList();
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void nobody_reads_or_writes_without_signing_in() {
        stranger().get("/api/surveys").expectProblem(401, "not-signed-in");
        stranger().get(treePath(4) + "/bench").expectProblem(401, "not-signed-in");
    }

    @Test
    void a_write_without_the_page_s_token_is_refused() {
        Caller dipper = signedIn("Dipper");

        var answer = dipper.putWithoutToken(
                treePath(4) + "/circumstances",
                Map.of("month", 6, "stage", "mature", "origin", "wild", "habitat", new String[0]));

        answer.expectProblem(403, "forbidden");
    }

    @Test
    void signing_out_ends_the_session() {
        Caller dipper = signedIn("Dipper");

        dipper.delete("/api/session").expect(204);

        dipper.get("/api/surveys").expectProblem(401, "not-signed-in");
    }

    @Test
    void signing_out_everywhere_ends_the_sessions_of_other_devices_too_and_nobody_else_s() {
        Caller tablet = signedIn("Dipper");
        Caller laptop = signedIn("Dipper");
        Caller siskin = signedIn("Siskin");

        laptop.delete("/api/session/everywhere").expect(204);

        tablet.get("/api/surveys").expectProblem(401, "not-signed-in");
        laptop.get("/api/surveys").expectProblem(401, "not-signed-in");
        siskin.get("/api/surveys").expect(200);
        stranger().delete("/api/session/everywhere").expectProblem(403, "forbidden"); // without the page's token
    }

    @Test
    void the_last_request_is_written_down_once_a_minute_and_keeps_the_session() {
        Caller wren = signedIn("Wren");
        setLastRequest("Wren", "5 seconds");
        long soon = lastRequest("Wren");

        wren.get("/api/surveys").expect(200);
        assertThat(lastRequest("Wren")).isEqualTo(soon);

        setLastRequest("Wren", "2 minutes");
        wren.get("/api/surveys").expect(200);
        assertThat(lastRequest("Wren")).isGreaterThanOrEqualTo(soon);
        setLastRequest("Wren", "13 hours");
        wren.get("/api/surveys").expectProblem(401, "not-signed-in");
    }

    private void setLastRequest(String callSign, String ago) {
        jdbc.sql("update spring_session set last_access_time = extract(epoch from now() - cast(? as interval)) * 1000"
                        + " where principal_name = (select cast(id as text) from observer where call_sign = ?)")
                .params(ago, callSign)
                .update();
    }

    private long lastRequest(String callSign) {
        return jdbc.sql("select max(last_access_time) from spring_session"
                        + " where principal_name = (select cast(id as text) from observer where call_sign = ?)")
                .param(callSign)
                .query(Long.class)
                .single();
    }

    @Test
    void health_and_the_api_document_are_open_and_nothing_else_of_the_actuator_is() {
        assertThat(stranger().get("/actuator/health").expect(200).path("status").asText())
                .isEqualTo("UP");
        stranger().get("/api/docs").expect(200);
        stranger().get("/actuator/env").expect(404);
    }
}
