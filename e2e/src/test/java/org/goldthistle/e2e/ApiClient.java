package org.goldthistle.e2e;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;

/** A client of the API without a browser; with several addresses its requests go to one after the other. */
final class ApiClient {
    static final ObjectMapper JSON = new ObjectMapper();
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(PATIENCE)
            .build();
    private final List<String> addresses;
    private int next;

    ApiClient(String... addresses) {
        this.addresses = List.of(addresses);
    }

    /** Signs in, and answers this. */
    ApiClient signedIn(String callSign, String passphrase) {
        send("GET", "/api/session", null);
        Answer answer = send("POST", "/api/session", Map.of("callSign", callSign, "passphrase", passphrase));
        if (answer.status() != 200) {
            throw new IllegalStateException(callSign + " was not let in: " + answer);
        }
        return this;
    }

    JsonNode get(String path) {
        return send("GET", path, null).expect(200);
    }

    JsonNode put(String path, Object body) {
        return send("PUT", path, body).expect(200);
    }

    /**
     * Plants a tree of a group in a plot of its own.
     *
     * @param survey its address
     * @return the tree's address
     */
    String plant(String survey, String group) {
        UUID tree = UUID.randomUUID();
        String plot = survey + "/plots/" + UUID.randomUUID();
        put(plot, Map.of("code", "Wrack " + tree, "radiusMetres", 15, "habitat", List.of(), "notes", ""));
        Map<String, Object> stem = new HashMap<>(Map.of("tag", 1, "azimuthDegrees", 10, "distanceMetres", 3));
        stem.putAll(Map.of("diameterMillimetres", 140, "stage", "mature", "origin", "wild"));
        stem.putAll(Map.of("conditionNotes", "", "groupId", group));
        put(plot + "/trees/" + tree, stem);
        return survey + "/trees/" + tree;
    }

    /** Sends a body as JSON; null: none. */
    Answer send(String method, String path, Object body) {
        try {
            return send(
                    method,
                    path,
                    "application/json",
                    body == null
                            ? HttpRequest.BodyPublishers.noBody()
                            : HttpRequest.BodyPublishers.ofString(
                                    body instanceof String text ? text : JSON.writeValueAsString(body)));
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
    }

    /** Sends bytes as they are. */
    Answer send(String method, String path, String type, byte[] body) {
        return send(method, path, type, HttpRequest.BodyPublishers.ofByteArray(body));
    }

    /** Sends what comes, without saying beforehand how much that is. */
    Answer sendInPieces(String method, String path, String type, Supplier<InputStream> body) {
        return send(method, path, type, HttpRequest.BodyPublishers.ofInputStream(body));
    }

    Answer send(String method, String path, String type, HttpRequest.BodyPublisher body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(addresses.get(next) + path))
                .timeout(PATIENCE)
                .header("Content-Type", type)
                .method(method, body);
        next = (next + 1) % addresses.size();
        for (HttpCookie cookie : cookies.getCookieStore().getCookies()) {
            if (cookie.getName().equals("XSRF-TOKEN")) {
                request.header("X-XSRF-TOKEN", cookie.getValue());
            }
        }
        try {
            HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(
                    answer.statusCode(),
                    answer.headers().firstValue("Content-Type").orElse(""),
                    answer.body());
        } catch (IOException broken) {
            return new Answer(
                    0, "", broken.toString()); // the connection was closed, as is done to whoever sends too much
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    /** The cookies that it has, as a header has them. */
    String cookieHeader() {
        StringBuilder all = new StringBuilder();
        cookies.getCookieStore()
                .getCookies()
                .forEach(one -> all.append(one.getName())
                        .append('=')
                        .append(one.getValue())
                        .append("; "));
        return all.toString();
    }

    /** What came back; status 0: the connection was closed. */
    record Answer(int status, String type, String text) {
        JsonNode expect(int expected) {
            if (status != expected) {
                throw new AssertionError("expected " + expected + ", but was " + status + ": " + text);
            }
            return json();
        }

        JsonNode json() {
            try {
                return type.contains("json") ? JSON.readTree(text) : JSON.missingNode();
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
        }
    }
}
