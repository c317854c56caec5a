package org.goldthistle.sample;

import java.net.URI;
import java.net.http.HttpClient;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.List;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.goldthistle.formats.LaboratoryJson;
import org.goldthistle.formats.SampleSent;
import org.goldthistle.platform.Settings;
import org.goldthistle.platform.Sha256;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;

/** The laboratory at the other end of a line, as {@code docs/laboratory.md} describes it; each request is signed. */
@Component
public class LaboratoryLine {
    private static final Duration PATIENCE = Duration.ofSeconds(5);

    private final RestClient http;
    private final String url;
    private final String secret;
    private final Clock clock;

    LaboratoryLine(Settings settings, Clock clock) {
        this.url = settings.laboratory().url();
        this.secret = settings.laboratory().secret();
        this.clock = clock;
        var factory = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(PATIENCE).build());
        factory.setReadTimeout(PATIENCE);
        this.http = RestClient.builder().requestFactory(factory).build();
    }

    boolean isConnected() {
        return !url.isEmpty();
    }

    /**
     * Announces a parcel; announced again, the same receipt comes back.
     *
     * @throws org.springframework.web.client.RestClientException if it does not answer, or refuses
     * @throws org.goldthistle.core.RefusedException if its answer is no receipt
     */
    String announce(String code, List<SampleSent> samples) {
        String body = LaboratoryJson.parcel(code, samples);
        return LaboratoryJson.receipt(send(HttpMethod.PUT, "/v1/parcels/" + code, body));
    }

    /** What it publishes of itself, as text; throws as the others do. */
    String methods() {
        return send(HttpMethod.GET, "/v1/methods", "");
    }

    /** The messages after one; throws as the others do. */
    List<LaboratoryJson.Numbered> resultsAfter(long number) {
        return LaboratoryJson.results(send(HttpMethod.GET, "/v1/results?after=" + number, ""));
    }

    /**
     * Brings bags to a stand-in's door, as the post would; no real laboratory has one.
     *
     * @param bags what lies in each, by the code on its label, as JSON
     * @throws org.springframework.web.client.RestClientException if nobody opens
     */
    public void bring(String bags) {
        send(HttpMethod.POST, "/bags", bags);
    }

    private String send(HttpMethod method, String path, String body) {
        String date = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
        RestClient.RequestBodySpec request = http.method(method)
                .uri(URI.create(url + path))
                .header("Goldthistle-Date", date)
                .header(
                        "Goldthistle-Signature",
                        signature(method + "\n" + path + "\n" + date + "\n" + Sha256.of(body)));
        if (!body.isEmpty()) {
            request.contentType(MediaType.APPLICATION_JSON).body(body.getBytes(StandardCharsets.UTF_8));
        }
        byte[] answer = request.retrieve().body(byte[].class);
        return answer == null ? "" : new String(answer, StandardCharsets.UTF_8);
    }

    private String signature(String of) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(secret.getBytes(StandardCharsets.UTF_8), mac.getAlgorithm()));
            return HexFormat.of().formatHex(mac.doFinal(of.getBytes(StandardCharsets.UTF_8)));
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException("every Java has HmacSHA256", missing);
        }
    }
}
