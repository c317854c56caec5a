package org.goldthistle.standins;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.Optional;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The laboratory's stand-in as whoever speaks to it sees it. */
class LaboratoryTest {
    private static final String SECRET = "a-secret-of-the-tests";
    private static final Instant NOW = Instant.parse("2026-09-14T09:00:00Z");
    private static final String PARCEL =
            "{\"version\":1,\"parcel\":\"P1\",\"samples\":[{\"code\":\"A\",\"analysis\":\"sequence\","
                    + "\"taxa\":[\"Betula pendula\",\"Betula pubescens\"]}]}";

    @TempDir
    private Path folder;

    private final HttpClient http = HttpClient.newHttpClient();
    private Laboratory laboratory;

    @BeforeEach
    void open() throws IOException {
        laboratory = new Laboratory(
                0,
                SECRET,
                Clock.fixed(NOW, ZoneOffset.UTC),
                Duration.ZERO,
                Duration.ZERO,
                3,
                Optional.of(folder.resolve("kept.json")));
    }

    @AfterEach
    void close() {
        laboratory.close();
    }

    @Test
    void a_parcel_gets_one_receipt_however_often_it_is_announced_and_its_samples_one_result() throws Exception {
        send("POST", "/bags", "{\"A\":\"Betula pendula\"}", SECRET, NOW);
        HttpResponse<String> first = send("PUT", "/v1/parcels/P1", PARCEL, SECRET, NOW);
        assertThat(first.statusCode()).isEqualTo(200);
        assertThat(send("PUT", "/v1/parcels/P1", PARCEL, SECRET, NOW).body()).isEqualTo(first.body());
        assertThat(send("PUT", "/v1/parcels/P1", PARCEL.replace("\"A\"", "\"B\""), SECRET, NOW)
                        .statusCode())
                .isEqualTo(409);

        JsonNode results = results();
        assertThat(results).hasSize(1);
        assertThat(results.at("/0/sample").asText()).isEqualTo("A");
        assertThat(results.at("/0/found/taxon").asText()).isEqualTo("Betula pendula");
    }

    @Test
    void who_does_not_know_the_secret_or_signs_at_another_time_is_refused() throws Exception {
        assertThat(send("GET", "/v1/methods", "", "another-secret", NOW).statusCode())
                .isEqualTo(401);
        assertThat(send("GET", "/v1/methods", "", SECRET, NOW.minus(Duration.ofHours(1)))
                        .statusCode())
                .isEqualTo(401);
        assertThat(send("GET", "/v1/methods", "", SECRET, NOW).body()).contains("\"error\":0.008");
        assertThat(send("GET", "/v1/results", "", SECRET, NOW).statusCode()).isEqualTo(400);
        assertThat(send("PUT", "/v1/parcels/P1", "no JSON", SECRET, NOW).statusCode())
                .isEqualTo(400);
    }

    @Test
    void what_it_said_outlasts_it() throws Exception {
        send("PUT", "/v1/parcels/P1", PARCEL, SECRET, NOW);
        JsonNode before = results();
        assertThat(before.at("/0/failed").asText()).isEqualTo("the bag was empty");
        laboratory.close();
        open();

        assertThat(results()).isEqualTo(before);
    }

    private JsonNode results() throws Exception {
        return LaboratoryBench.JSON
                .readTree(send("GET", "/v1/results?after=0", "", SECRET, NOW).body())
                .path("results");
    }

    private HttpResponse<String> send(String method, String path, String body, String secret, Instant at)
            throws IOException, InterruptedException, GeneralSecurityException {
        Mac mac = Mac.getInstance("HmacSHA256");
        mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), mac.getAlgorithm()));
        String print = HexFormat.of()
                .formatHex(MessageDigest.getInstance("SHA-256").digest(body.getBytes(StandardCharsets.UTF_8)));
        byte[] signature =
                mac.doFinal((method + "\n" + path + "\n" + at + "\n" + print).getBytes(StandardCharsets.UTF_8));
        return http.send(
                HttpRequest.newBuilder(URI.create(laboratory.address() + path))
                        .method(method, HttpRequest.BodyPublishers.ofString(body))
                        .header("Goldthistle-Date", at.toString())
                        .header("Goldthistle-Signature", HexFormat.of().formatHex(signature))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
