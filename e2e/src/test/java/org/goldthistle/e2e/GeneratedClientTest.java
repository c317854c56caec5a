package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.http.HttpClient;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.client.ApiClient;
import org.goldthistle.client.ApiException;
import org.goldthistle.client.BenchApi;
import org.goldthistle.client.BenchDto;
import org.goldthistle.client.Certainty;
import org.goldthistle.client.NewDetermination;
import org.goldthistle.client.NewReading;
import org.goldthistle.client.NewToken;
import org.goldthistle.client.Outcome;
import org.goldthistle.client.ReadingView;
import org.goldthistle.client.SessionApi;
import org.goldthistle.client.SignInDto;
import org.goldthistle.client.SurveyDto;
import org.goldthistle.client.SurveysApi;
import org.goldthistle.client.TokenScope;
import org.goldthistle.client.TokensApi;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Somebody who has nothing but the API's document makes a client of it by a common generator, and works with that. */
class GeneratedClientTest {
    private static final UUID SURVEY = BenchOnScreen.demoId("survey Tarnholt");
    private static final UUID TREE =
            BenchOnScreen.demoId("tree " + BenchOnScreen.demoId("plot Kettle Moss 07") + " 23");

    private static Application application;

    @BeforeAll
    static void start() {
        application = Application.onDemo();
    }

    @AfterAll
    static void stop() {
        application.close();
    }

    @Test
    void it_signs_in_reads_a_tree_and_signs_a_call() throws ApiException {
        ApiClient client = withCookies();
        new SessionApi(client).showSession(); // hands out the token that writes send back
        new SessionApi(client).signIn(new SignInDto().callSign("Siskin").passphrase(Application.PASSPHRASE));
        BenchApi bench = new BenchApi(client);

        BenchDto read = bench.recordReading(
                SURVEY,
                TREE,
                UUID.randomUUID(),
                new NewReading()
                        .character("twig-warts")
                        .states(List.of("dense"))
                        .notSeen(false)
                        .certainty(Certainty.SURE),
                0L);
        BenchDto signed = bench.signCall(
                SURVEY,
                TREE,
                UUID.randomUUID(),
                new NewDetermination()
                        .outcome(Outcome.GROUP)
                        .note("by a script")
                        .confirming(List.of())
                        .reasons(Map.of())
                        .voucher("")
                        .readingIds(read.getReadings().stream()
                                .map(ReadingView::getId)
                                .toList()),
                0L);

        assertThat(read.getThistle().getLeadName()).isEqualTo("silver birch");
        assertThat(signed.getDeterminations().get(0).getNote()).isEqualTo("by a script");
        assertThat(signed.getDeterminations().get(0).getOutcome()).isEqualTo(Outcome.GROUP);
    }

    @Test
    void it_reads_with_a_token_and_hears_why_it_may_not_write() throws ApiException {
        ApiClient observer = withCookies();
        new SessionApi(observer).showSession();
        new SessionApi(observer).signIn(new SignInDto().callSign("Dipper").passphrase(Application.PASSPHRASE));
        String secret = new TokensApi(observer)
                .makeToken(UUID.randomUUID(), new NewToken().name("tally").scope(TokenScope.READING))
                .getSecret();
        ApiClient script = at(new ApiClient())
                .setRequestInterceptor(request -> request.header("Authorization", "Bearer " + secret));

        List<SurveyDto> surveys = new SurveysApi(script).listSurveys();

        assertThat(surveys).extracting(SurveyDto::getId).contains(SURVEY);
        assertThatThrownBy(() -> new BenchApi(script)
                        .recordReading(
                                SURVEY,
                                TREE,
                                UUID.randomUUID(),
                                new NewReading().character("twig-warts").notSeen(true),
                                0L))
                .isInstanceOf(ApiException.class)
                .hasMessageContaining("beyond-token");
    }

    private static ApiClient at(ApiClient client) {
        client.updateBaseUri(application.url());
        return client;
    }

    /** A client that keeps cookies, and sends the token against foreign pages back. */
    private static ApiClient withCookies() {
        var cookies = new CookieManager();
        return at(new ApiClient())
                .setHttpClientBuilder(HttpClient.newBuilder().cookieHandler(cookies))
                .setRequestInterceptor(request -> cookies.getCookieStore().getCookies().stream()
                        .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                        .map(HttpCookie::getValue)
                        .findFirst()
                        .ifPresent(token -> request.header("X-XSRF-TOKEN", token)));
    }
}
