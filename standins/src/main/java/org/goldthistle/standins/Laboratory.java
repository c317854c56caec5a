package org.goldthistle.standins;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * A laboratory that is not there: it takes parcels as JSON over HTTP, answers with a receipt, and offers results some time
 * later, as {@code docs/laboratory.md} describes it. What lies in the bags is brought to {@code /bags}, as the post would.
 * What it was told and what it said outlasts it where it is given a file.
 */
public final class Laboratory implements AutoCloseable {
    private static final int VERSION = 1;
    private static final int LARGEST = 1 << 20; // bytes
    private static final Duration CLOCKS_APART = Duration.ofMinutes(15);

    private final HttpServer server;
    private final byte[] secret;
    private final Clock clock;
    private final Duration shortest;
    private final Duration longest;
    private final LaboratoryBench bench;
    private final Optional<Path> file;
    private final ObjectNode bags;
    private final ObjectNode parcels;
    private final ArrayNode waiting; // each with the sample and when it is ready
    private final ArrayNode results;

    /** @param file that it keeps all in; empty: it forgets when it ends */
    Laboratory(
            int port, String secret, Clock clock, Duration shortest, Duration longest, long seed, Optional<Path> file)
            throws IOException {
        this.secret = secret.getBytes(StandardCharsets.UTF_8);
        this.clock = clock;
        this.shortest = shortest;
        this.longest = longest;
        try (InputStream sets = Laboratory.class.getResourceAsStream("sets.json")) {
            bench = new LaboratoryBench(LaboratoryBench.JSON.readTree(sets), seed);
        }
        this.file = file;
        JsonNode kept = file.isPresent() && Files.exists(file.get())
                ? LaboratoryBench.JSON.readTree(file.get().toFile())
                : LaboratoryBench.JSON.createObjectNode();
        bags = ((ObjectNode) kept).withObject("/bags");
        parcels = ((ObjectNode) kept).withObject("/parcels");
        waiting = ((ObjectNode) kept).withArray("/waiting");
        results = ((ObjectNode) kept).withArray("/results");
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.createContext("/v1/parcels/", exchange -> signed(exchange, this::parcel));
        server.createContext("/v1/results", exchange -> signed(exchange, this::results));
        server.createContext("/v1/methods", exchange -> signed(exchange, this::methods));
        server.createContext("/bags", exchange -> signed(exchange, this::bags));
        server.start();
    }

    /**
     * Starts one.
     *
     * @param port on the loopback; 0: one that is free
     * @param secret that requests are signed with
     * @param clock by which it works; requests that are signed at another time by more than a quarter of an hour are refused
     * @param shortest that a sample takes
     * @param longest that it takes
     * @param seed of what it finds
     */
    public static Laboratory on(int port, String secret, Clock clock, Duration shortest, Duration longest, long seed)
            throws IOException {
        return new Laboratory(port, secret, clock, shortest, longest, seed, Optional.empty());
    }

    /** Starts one on the port given, with the secret of the environment, until the process is ended; it takes minutes. */
    public static void main(String[] arguments) throws IOException {
        Laboratory laboratory = new Laboratory(
                Integer.parseInt(arguments[0]),
                System.getenv("GOLDTHISTLE_LABORATORY_SECRET"),
                Clock.systemUTC(),
                Duration.ofMinutes(1),
                Duration.ofMinutes(4),
                ThreadLocalRandom.current().nextLong(),
                Optional.ofNullable(System.getenv("GOLDTHISTLE_LABORATORY_STATE"))
                        .map(Path::of));
        System.out.println("the laboratory answers at " + laboratory.address());
    }

    /** Where it answers. */
    public String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** Says something that nobody asked for, as laboratories do; the number is given. */
    public synchronized void say(ObjectNode message) {
        results.add(message.put("number", results.size() + 1));
    }

    private interface Answered {
        JsonNode answer(HttpExchange exchange, String body) throws IOException, RefusedException;
    }

    private static final class RefusedException extends Exception {
        private static final long serialVersionUID = 1L;
        private final int status;

        RefusedException(int status, String why) {
            super(why);
            this.status = status;
        }
    }

    private synchronized void signed(HttpExchange exchange, Answered by) throws IOException {
        String body = new String(exchange.getRequestBody().readNBytes(LARGEST), StandardCharsets.UTF_8);
        try {
            requireSigned(exchange, body);
            JsonNode answer = by.answer(exchange, body);
            keep();
            answer(exchange, 200, answer);
        } catch (RefusedException refused) {
            answer(
                    exchange,
                    refused.status,
                    LaboratoryBench.JSON
                            .createObjectNode()
                            .put("version", VERSION)
                            .put("refused", refused.getMessage()));
        }
    }

    private void keep() throws IOException {
        if (file.isPresent()) {
            ObjectNode all = LaboratoryBench.JSON.createObjectNode();
            all.set("bags", bags);
            all.set("parcels", parcels);
            all.set("waiting", waiting);
            all.set("results", results);
            Files.writeString(file.get(), all.toString());
        }
    }

    private void requireSigned(HttpExchange exchange, String body) throws RefusedException {
        String date = String.valueOf(exchange.getRequestHeaders().getFirst("Goldthistle-Date"));
        String signature = String.valueOf(exchange.getRequestHeaders().getFirst("Goldthistle-Signature"));
        try {
            if (Duration.between(Instant.parse(date), clock.instant()).abs().compareTo(CLOCKS_APART) > 0) {
                throw new RefusedException(401, "signed at another time: " + date);
            }
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(secret, mac.getAlgorithm()));
            byte[] print = MessageDigest.getInstance("SHA-256").digest(body.getBytes(StandardCharsets.UTF_8));
            String of = exchange.getRequestMethod() + "\n" + exchange.getRequestURI() + "\n" + date + "\n"
                    + HexFormat.of().formatHex(print);
            byte[] wanted = mac.doFinal(of.getBytes(StandardCharsets.UTF_8));
            if (!MessageDigest.isEqual(
                    HexFormat.of().formatHex(wanted).getBytes(StandardCharsets.UTF_8),
                    signature.getBytes(StandardCharsets.UTF_8))) {
                throw new RefusedException(401, "not signed by anybody we know");
            }
        } catch (DateTimeException noTime) {
            throw new RefusedException(401, "no time of signing");
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException("every Java has these", missing);
        }
    }

    private JsonNode parcel(HttpExchange exchange, String body) throws RefusedException {
        String path = exchange.getRequestURI().getPath();
        String code = path.substring(path.lastIndexOf('/') + 1);
        JsonNode list = parsed(body);
        if (list.path("version").asInt() != VERSION
                || !list.path("parcel").asText().equals(code)) {
            throw new RefusedException(400, "version " + VERSION + " and the parcel's own code are wanted");
        }
        JsonNode before = parcels.get(code);
        if (before != null && !before.equals(list)) {
            throw new RefusedException(409, "this parcel was announced with other samples");
        }
        if (before == null) {
            parcels.set(code, list);
            for (JsonNode sample : list.path("samples")) {
                waiting.addObject().put("ready", ready().toString()).set("sample", sample);
            }
        }
        return LaboratoryBench.JSON.createObjectNode().put("version", VERSION).put("receipt", "R-" + code);
    }

    private Instant ready() {
        long spread = longest.minus(shortest).toMillis();
        return clock.instant()
                .plus(shortest)
                .plusMillis(spread == 0 ? 0 : ThreadLocalRandom.current().nextLong(spread));
    }

    private JsonNode results(HttpExchange exchange, String body) throws RefusedException {
        String query = String.valueOf(exchange.getRequestURI().getQuery());
        if (!query.matches("after=\\d{1,15}")) {
            throw new RefusedException(400, "after which number?");
        }
        long after = Long.parseLong(query.substring(query.indexOf('=') + 1));
        finish();
        ObjectNode answer = LaboratoryBench.JSON.createObjectNode().put("version", VERSION);
        ArrayNode offered = answer.putArray("results");
        results.forEach(one -> {
            if (one.path("number").asLong() > after) {
                offered.add(one);
            }
        });
        return answer;
    }

    private void finish() {
        Instant now = clock.instant();
        for (Iterator<JsonNode> all = waiting.iterator(); all.hasNext(); ) {
            JsonNode one = all.next();
            if (!Instant.parse(one.path("ready").asText()).isAfter(now)) {
                all.remove();
                JsonNode sample = one.path("sample");
                say(bench.work(sample, bags.path(sample.path("code").asText()).asText()));
            }
        }
    }

    private JsonNode methods(HttpExchange exchange, String body) {
        return bench.methods(VERSION);
    }

    /** What lies in the bags, by the code on the label. */
    private JsonNode bags(HttpExchange exchange, String body) throws RefusedException {
        parsed(body).properties().forEach(bag -> bags.set(bag.getKey(), bag.getValue()));
        return LaboratoryBench.JSON.createObjectNode().put("version", VERSION);
    }

    private static JsonNode parsed(String body) throws RefusedException {
        try {
            return LaboratoryBench.JSON.readTree(body);
        } catch (JsonProcessingException broken) {
            throw new RefusedException(400, "no JSON");
        }
    }

    private static void answer(HttpExchange exchange, int status, JsonNode body) throws IOException {
        byte[] bytes = body.toString().getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "application/json");
        exchange.sendResponseHeaders(status, bytes.length);
        try (OutputStream to = exchange.getResponseBody()) {
            to.write(bytes);
        }
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
