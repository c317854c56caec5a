package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.Callable;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** PostgreSQL is killed under the running application, and comes back. */
@Tag("alone") // all other tests live on the same server
class DatabaseAwayTest {
    private static final Duration TOLD_WITHIN = Duration.ofSeconds(3); // two, and one for a slow machine

    @Test
    void while_it_is_away_everybody_is_told_soon_and_everything_goes_on_by_itself() throws Exception {
        String port = port();
        try (Application application = Application.startAfresh(false)) {
            ApiClient siskin = new ApiClient(application.url()).signedIn("Siskin", Application.PASSPHRASE);
            siskin.get("/api/surveys");
            ApiClient monitor = new ApiClient(application.url());
            Shell.run("pg_sql test-postgres postgres -c checkpoint"); // the tests' database promises no durability
            Shell.run("kill -9 $(head -1 $(pg_data test-postgres)/postmaster.pid)");
            try {
                ApiClient.Answer page = within(() -> siskin.send("GET", "/api/surveys", null));
                assertThat(page.status()).as(page.text()).isEqualTo(503);
                assertThat(page.json().path("type").asText()).isEqualTo("/problems/database-away");
                ApiClient.Answer health = within(() -> monitor.send("GET", "/actuator/health", null));
                assertThat(health.status()).isEqualTo(503);
                assertThat(health.json().path("status").asText()).isEqualTo("DOWN");
            } finally {
                Shell.run("pg_start test-postgres fast");
            }

            assertThat(port()).as("the port of the database").isEqualTo(port);
            Instant deadline = Instant.now().plus(Duration.ofSeconds(30));
            while (siskin.send("GET", "/api/surveys", null).status() != 200) {
                assertThat(Instant.now()).isBefore(deadline);
                Thread.sleep(200);
            }
            monitor.get("/actuator/health");
        }
    }

    private static ApiClient.Answer within(Callable<ApiClient.Answer> act) throws Exception {
        Instant begun = Instant.now();
        ApiClient.Answer answer = act.call();
        assertThat(Duration.between(begun, Instant.now())).isLessThan(TOLD_WITHIN);
        return answer;
    }

    private static String port() throws IOException, InterruptedException {
        return Shell.output("pg_port test-postgres");
    }
}
