package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;

/** A client of the API with cookies of its own, which sends the CSRF token as the front end does. */
public final class Caller {
    private static final ObjectMapper JSON = new ObjectMapper();

    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private final String base;

    Caller(int port) {
        base = "http://127.0.0.1:" + port;
    }

    public Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(base + path)).GET());
    }

    /** Opens a stream, which is open once this returns; done when it ends, with all that came. */
    public CompletableFuture<String> stream(String path) {
        try {
            InputStream body = http.send(
                            HttpRequest.newBuilder(URI.create(base + path))
                                    .GET()
                                    .build(),
                            HttpResponse.BodyHandlers.ofInputStream())
                    .body();
            return CompletableFuture.supplyAsync(() -> all(body));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    private static String all(InputStream body) {
        try (body) {
            return new String(body.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** Reads with a cookie of no jar. */
    public Answer getWithCookie(String path, String cookie) {
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Cookie", cookie)
                .GET());
    }

    public Answer put(String path, Object body) {
        return write("PUT", path, body);
    }

    /** Sends a file as it is. */
    public Answer putBytes(String path, byte[] content) {
        return putBytes("application/octet-stream", path, content);
    }

    /** Sends a file under the type that a browser takes it for. */
    public Answer putBytes(String type, String path, byte[] content) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", type)
                .PUT(HttpRequest.BodyPublishers.ofByteArray(content));
        cookie("XSRF-TOKEN").ifPresent(token -> request.header("X-XSRF-TOKEN", token.getValue()));
        return send(request);
    }

    /** What comes back, byte by byte. */
    public byte[] bytes(String path) {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create(base + path)).build(),
                            HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    public Answer post(String path, Object body) {
        return write("POST", path, body);
    }

    /** Any method, as the front end would send it. */
    public Answer send(String method, String path, Object body) {
        return method.equals("GET") ? get(path) : write(method, path, body);
    }

    public Answer delete(String path) {
        return write("DELETE", path, "");
    }

    public Answer signIn(String callSign, String passphrase) {
        get("/api/session"); // hands out the token
        return write("POST", "/api/session", Map.of("callSign", callSign, "passphrase", passphrase));
    }

    /** A write as a foreign page would send it: with the cookies, without the token. */
    public Answer putWithoutToken(String path, Object body) {
        return send(HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/json")
                .PUT(HttpRequest.BodyPublishers.ofString(text(body))));
    }

    /** Sends JSON without saying beforehand how much it is. */
    public Answer sendInPieces(String method, String path, byte[] json) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream(json)));
        cookie("XSRF-TOKEN").ifPresent(token -> request.header("X-XSRF-TOKEN", token.getValue()));
        return send(request);
    }

    /** Sends text as a media type. */
    public Answer sendAs(String type, String method, String path, String body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", type)
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        cookie("XSRF-TOKEN").ifPresent(token -> request.header("X-XSRF-TOKEN", token.getValue()));
        return send(request);
    }

    /** A request as a script makes it: with a token, without cookies of a session. */
    public Answer withToken(String secret, String method, String path, Object body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Authorization", "Bearer " + secret)
                .header("Content-Type", "application/json");
        return send(
                method.equals("GET")
                        ? request.GET()
                        : request.method(method, HttpRequest.BodyPublishers.ofString(text(body))));
    }

    private Answer write(String method, String path, Object body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(text(body)));
        cookie("XSRF-TOKEN").ifPresent(token -> request.header("X-XSRF-TOKEN", token.getValue()));
        return send(request, text(body));
    }

    private Optional<HttpCookie> cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .findFirst();
    }

    private Answer send(HttpRequest.Builder request) {
        return send(request, null);
    }

    /** @param sent as JSON; null: nothing, or a file */
    private Answer send(HttpRequest.Builder request, String sent) {
        try {
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            String type = response.headers().firstValue("Content-Type").orElse("");
            JsonNode body = type.contains("json") ? JSON.readTree(response.body()) : JSON.missingNode();
            var answer = new Answer(
                    response.statusCode(),
                    type,
                    response.body(),
                    body,
                    response.headers().allValues("Set-Cookie"),
                    response.headers().firstValue("X-Request-Id").orElse(""));
            Examples.note(
                    response.request().method(),
                    response.request().uri().toString().substring(base.length()),
                    sent,
                    answer);
            return answer;
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    private static String text(Object body) {
        try {
            return body instanceof String text ? text : JSON.writeValueAsString(body);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** What came back. */
    public record Answer(
            int status, String contentType, String text, JsonNode body, List<String> setCookies, String requestId) {

        public JsonNode expect(int expected) {
            assertThat(status).as("status of %s", body).isEqualTo(expected);
            return body;
        }

        /** A problem detail of the given kind, whose detail says something. */
        public JsonNode expectProblem(int expected, String type) {
            expect(expected);
            assertThat(contentType).startsWith("application/problem+json");
            assertThat(body.path("type").asText()).isEqualTo("/problems/" + type);
            assertThat(body.path("detail").asText()).hasSizeGreaterThan(20);
            assertThat(body.path("request").asText()).isEqualTo(requestId).matches("[0-9a-f]{8}");
            return body;
        }
    }
}
