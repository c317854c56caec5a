package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInfo;
import org.junit.jupiter.api.TestInstance;

/**
 * What somebody hostile would try against a fresh instance. After each attack a member's page must still come quickly, and
 * nothing may have answered with an error of ours. {@code ./goldthistle attack} runs it at length.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AttackTest {
    private static final boolean AT_LENGTH = Boolean.getBoolean("goldthistle.attack.long");
    private static final int MEGABYTE = 1024 * 1024;

    private final List<String> summary = new ArrayList<>();
    private Application application;
    private ApiClient member;
    private String survey;
    private Tally tally;

    @BeforeAll
    void start() {
        application = Application.startAfresh(false);
        member = new ApiClient(application.url()).signedIn("Siskin", Application.PASSPHRASE);
        survey = "/api/surveys/" + member.get("/api/surveys").get(0).path("id").asText();
    }

    @AfterEach
    void whoever_belongs_here_is_still_served(TestInfo attack) {
        long begun = System.nanoTime();
        member.get("/api/surveys");
        long millis = (System.nanoTime() - begun) / 1_000_000;
        summary.add("%-70s %6d tried %6d refused %6d failed, then a page in %d ms"
                .formatted(
                        attack.getDisplayName().replace("()", "").replace('_', ' '),
                        tally.tried(),
                        tally.refused(),
                        tally.failed(),
                        millis));
        assertThat(tally.examples()).as("answered with an error of ours").isEmpty();
    }

    @AfterAll
    void stop() {
        summary.forEach(line -> System.out.println("attack: " + line));
        application.close();
    }

    private ApiClient stranger() {
        ApiClient stranger = new ApiClient(application.url());
        stranger.send("GET", "/api/session", null);
        return stranger;
    }

    private ApiClient lead() {
        return new ApiClient(application.url()).signedIn("Treecreeper", Application.PASSPHRASE);
    }

    @Test
    void passphrases_of_megabytes() {
        tally = new Tally();
        tally.atOnce(8, i -> {
            String sign = "x".repeat(19 * MEGABYTE);
            return stranger().send("POST", "/api/session", Map.of("callSign", sign, "passphrase", "x"));
        });
        tally.atOnce(8, i -> stranger().sendInPieces("POST", "/api/session", "application/json", () -> endless('x')));

        assertThat(tally.done()).isZero();
    }

    @Test
    void json_that_is_deep_long_or_huge() {
        tally = new Tally();
        for (String json : List.of(
                "[".repeat(100_000),
                "{\"a\":".repeat(40_000),
                "{\"callSign\":" + "9".repeat(200_000) + "}",
                "{\"callSign\":1e999999999}",
                "{\"callSign\":\"\\ud800\"}",
                "{\"callSign\":\"\\u0000\",\"passphrase\":\"x\"}",
                "\u0000",
                "")) {
            tally.add(stranger().send("POST", "/api/session", json));
        }

        assertThat(tally.done()).isZero();
    }

    @Test
    void pictures_that_unpack_to_hundreds_of_megabytes() throws IOException {
        tally = new Tally();
        String tree = aTree();
        byte[] bomb = pngBomb(200 * MEGABYTE);
        assertThat(bomb.length).isLessThan(MEGABYTE);
        List<ApiClient> senders = IntStream.range(0, 6).mapToObj(i -> member()).toList();
        tally.atOnce(6, i -> senders.get(i).send("PUT", tree + "/photos/" + UUID.randomUUID(), "image/png", bomb));
        tally.atOnce(
                4,
                i -> senders.get(i)
                        .sendInPieces(
                                "PUT", tree + "/photos/" + UUID.randomUUID(), "image/png", () -> bytes(13 * MEGABYTE)));
    }

    @Test
    void thirty_who_look_at_large_photos_at_once() throws IOException {
        tally = new Tally();
        String photo = aTree() + "/photos/" + UUID.randomUUID();
        member.send("PUT", photo, "image/png", png(11 * MEGABYTE)).expect(200);

        tally.atOnce(30, i -> member.send("GET", photo, "image/png", HttpRequest.BodyPublishers.noBody()));

        assertThat(tally.done()).isEqualTo(30);
    }

    @Test
    void tables_with_one_cell_of_megabytes_or_a_hundred_thousand_columns() {
        tally = new Tally();
        ApiClient lead = lead();
        for (Supplier<InputStream> table : List.<Supplier<InputStream>>of(
                () -> new SequenceInputStream(text("plot;tag\n\""), limited('y', 20 * MEGABYTE)),
                () -> text("plot;" + "c;".repeat(100_000) + "\n"),
                () -> text("{\"type\":\"FeatureCollection\",\"features\":" + "[".repeat(100_000)),
                () -> endless(';'))) {
            ApiClient.Answer sent = lead.sendInPieces(
                    "PUT", survey + "/imports/" + UUID.randomUUID() + "?name=t", "application/octet-stream", table);
            tally.add(sent);
        }
    }

    @Test
    void thirty_guesses_at_once_and_members_go_on() {
        tally = new Tally();
        tally.atOnce(
                30,
                i -> stranger()
                        .send("POST", "/api/session", Map.of("callSign", "Guessed " + i, "passphrase", "guess")));

        assertThat(tally.done()).isZero();
    }

    @Test
    void sixty_bodies_that_never_end() throws IOException {
        tally = new Tally();
        try (Sockets open = new Sockets(application.url())) {
            for (int i = 0; i < 60; i++) {
                open.send("POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\n"
                        + "Content-Length: 100\r\n\r\n{\"callSign\":");
                tally.count();
            }
            assertThat(millisOfAPage()).isLessThan(5000);
        }
    }

    @Test
    void photos_that_drip() throws IOException {
        tally = new Tally();
        String tree = aTree();
        ApiClient dripping = member();
        try (Sockets open = new Sockets(application.url())) {
            for (int i = 0; i < 20; i++) {
                open.send("PUT " + tree + "/photos/" + UUID.randomUUID() + " HTTP/1.1\r\nHost: x\r\n"
                        + "Content-Type: image/png\r\nCookie: " + dripping.cookieHeader()
                        + "\r\nContent-Length: 5000000\r\n\r\nx");
                tally.count();
            }
            assertThat(millisOfAPage()).isLessThan(5000);
        }
    }

    @Test
    void headers_that_never_end_and_connections_that_say_nothing() throws IOException {
        tally = new Tally();
        try (Sockets open = new Sockets(application.url())) {
            for (int i = 0; i < 200; i++) {
                open.send(i % 2 == 0 ? "" : "GET / HTTP/1.1\r\nHost: x\r\nX-A: ");
                tally.count();
            }
            assertThat(millisOfAPage()).isLessThan(5000);
        }
    }

    @Test
    void readers_that_never_read() throws IOException {
        tally = new Tally();
        String script = scriptOfThePage();
        try (Sockets open = new Sockets(application.url())) {
            for (int i = 0; i < 60; i++) {
                open.send(("GET " + script + " HTTP/1.1\r\nHost: x\r\n\r\n").repeat(20));
                tally.count();
            }
            assertThat(millisOfAPage()).isLessThan(5000);
        }
    }

    @Test
    void requests_that_are_none() throws IOException {
        tally = new Tally();
        for (String request : List.of(
                "NONSENSE\r\n\r\n",
                "GET /api/surveys/../../etc/passwd HTTP/1.1\r\nHost: x\r\n\r\n",
                "GET /api/surveys/%2e%2e/%00 HTTP/1.1\r\nHost: x\r\n\r\n",
                "GET /api/surveys;a=b HTTP/1.1\r\nHost: x\r\n\r\n",
                "GET /error HTTP/1.1\r\nHost: x\r\n\r\n",
                "GET /actuator/env HTTP/1.1\r\nHost: x\r\n\r\n",
                "GET / HTTP/1.1\r\nHost: x\r\nX-Long: " + "x".repeat(64 * 1024) + "\r\n\r\n",
                "GET /api/surveys HTTP/1.1\r\nHost: x\r\nCookie: goldthistle=\u0001\u0002; ;;=\r\n\r\n",
                "GET /api/surveys HTTP/1.1\r\nHost: x\r\nCookie: goldthistle=AGFi\r\n\r\n",
                "POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: multipart/form-data; boundary=\r\n"
                        + "Content-Length: 4\r\n\r\n----",
                "POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: nonsense\r\nContent-Length: 2\r\n\r\n{}",
                "POST /api/session HTTP/1.1\r\nHost: x\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n",
                "POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Length: -5\r\n\r\n",
                "TRACE / HTTP/1.1\r\nHost: x\r\n\r\n",
                "GET /api/surveys HTTP/1.1\r\nHost: x\r\nAccept: nonsense//\r\n\r\n")) {
            tally.add(Sockets.asked(application.url(), request), request);
        }
    }

    @Test
    void requests_that_are_made_up() {
        tally = new Tally();
        ApiClient crew = member();
        JsonNode document = crew.get("/api/docs");
        int many = AT_LENGTH ? 20_000 : 1_500;
        new MadeUpRequests(document, survey, 17).send(many, this::madeUpBy, tally);

        assertThat(tally.tried()).isEqualTo(many);
    }

    /** Somebody who is signed in, anew after each time that a request ended the session. */
    private ApiClient madeUpBy(int number) {
        List<String> all = List.of("Dipper", "Redpoll", "Wren");
        return new ApiClient(application.url()).signedIn(all.get(number % all.size()), Application.PASSPHRASE);
    }

    private ApiClient member() {
        return new ApiClient(application.url()).signedIn("Wren", Application.PASSPHRASE);
    }

    private long millisOfAPage() {
        long begun = System.nanoTime();
        member.get("/api/surveys");
        return (System.nanoTime() - begun) / 1_000_000;
    }

    private String scriptOfThePage() {
        String page = new ApiClient(application.url()).send("GET", "/", null).text();
        int from = page.indexOf("/assets/");
        return page.substring(from, page.indexOf('"', from));
    }

    private String aTree() {
        return member.plant(survey, "birches");
    }

    /** A small PNG whose compressed text unpacks to a size in bytes. */
    private static byte[] pngBomb(int unpacked) throws IOException {
        var text = new ByteArrayOutputStream();
        text.write("Comment\0\0".getBytes(StandardCharsets.ISO_8859_1));
        try (var packed = new DeflaterOutputStream(text)) {
            byte[] zeros = new byte[MEGABYTE];
            for (int i = 0; i < unpacked / MEGABYTE; i++) {
                packed.write(zeros);
            }
        }
        var png = new ByteArrayOutputStream();
        png.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        chunk(png, "IHDR", new byte[] {0, 0, 0, 8, 0, 0, 0, 8, 8, 2, 0, 0, 0});
        for (String type : List.of("zTXt", "iTXt", "iCCP", "prVt")) {
            chunk(png, type, text.toByteArray());
        }
        chunk(png, "IEND", new byte[0]);
        return png.toByteArray();
    }

    /** A PNG of a size in bytes that cannot be packed any further. */
    private static byte[] png(int size) throws IOException {
        byte[] noise = new byte[size];
        new Random(3).nextBytes(noise);
        var png = new ByteArrayOutputStream();
        png.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        chunk(png, "IHDR", new byte[] {0, 0, 8, 0, 0, 0, 8, 0, 8, 2, 0, 0, 0});
        chunk(png, "IDAT", noise);
        chunk(png, "IEND", new byte[0]);
        return png.toByteArray();
    }

    private static void chunk(ByteArrayOutputStream png, String type, byte[] data) {
        byte[] name = type.getBytes(StandardCharsets.ISO_8859_1);
        var sum = new CRC32();
        sum.update(name);
        sum.update(data);
        number(png, data.length);
        png.writeBytes(name);
        png.writeBytes(data);
        number(png, (int) sum.getValue());
    }

    private static void number(ByteArrayOutputStream to, int value) {
        IntStream.of(24, 16, 8, 0).forEach(shift -> to.write(value >>> shift));
    }

    private static InputStream text(String text) {
        return new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8));
    }

    private static InputStream bytes(int many) {
        return new ByteArrayInputStream(new byte[many]);
    }

    private static InputStream endless(char sign) {
        return limited(sign, Integer.MAX_VALUE);
    }

    private static InputStream limited(char sign, int many) {
        return new InputStream() {
            private int left = many;

            @Override
            public int read() {
                return left-- > 0 ? sign : -1;
            }

            @Override
            public int read(byte[] into, int from, int length) {
                if (left <= 0) {
                    return -1;
                }
                int now = Math.min(left, length);
                Arrays.fill(into, from, from + now, (byte) sign);
                left -= now;
                return now;
            }
        };
    }
}
