package org.goldthistle.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;

/** The runnable jar as a user starts it, on a database of the tests' own. */
final class Application implements AutoCloseable {
    static final String PASSPHRASE = "kettle-moss-e2e";

    /** Which of the JVMs this is that run tests at once. */
    static final String JVM = System.getProperty("goldthistle.e2e.jvm", "");

    private static final Path LOG = Path.of("target/application" + JVM + ".log");
    private static final Duration PATIENCE = Duration.ofSeconds(240);

    private static final Set<Process> STARTED = ConcurrentHashMap.newKeySet();

    static { // none outlives the tests, whose next JVM begins with the same database
        Runtime.getRuntime().addShutdownHook(new Thread(() -> STARTED.forEach(Process::destroyForcibly)));
    }

    private static Application shared;

    private final int port = freePort();
    private final Map<String, String> settings;
    private final String databaseUrl;
    private Process process;

    private Application(Map<String, String> settings, String databaseUrl) {
        this.settings = settings;
        this.databaseUrl = databaseUrl;
    }

    /** Starts on a database of that name as it is. */
    static Application onDatabase(String name) {
        var application = new Application(Map.of(), E2eDatabase.url(name));
        application.start();
        return application;
    }

    /**
     * The application on the demo's data as they are after its first start. It goes on running from class to class, and is
     * not to be closed by them: it keeps nothing between requests but what never changes.
     */
    static Application onDemo() {
        if (shared != null && shared.process.isAlive()) {
            E2eDatabase.fillWithDemo();
            shared.awaitHealth();
        } else {
            shared = startAfresh(false);
        }
        return shared;
    }

    /**
     * Starts one of its own on the demo's data as they are after its first start.
     *
     * @param playsMonths whether it plays the months ahead of contested calls through at once
     */
    static Application startAfresh(boolean playsMonths) {
        stopShared();
        if (!E2eDatabase.hasDemo()) { // made once, since that takes longer than most classes of tests
            E2eDatabase.empty();
            var first = new Application(demo(false), E2eDatabase.url());
            first.start(UnpackedJar.archivingCommand());
            first.stop();
            E2eDatabase.keepDemo();
        }
        E2eDatabase.fillWithDemo();
        return started(demo(playsMonths));
    }

    /** The same with a laboratory at the other end of a line, which it asks every second. */
    static Application startWithLaboratory(String url, String secret) {
        startAfresh(false).stop();
        Map<String, String> settings = new HashMap<>(demo(false));
        settings.put("GOLDTHISTLE_LABORATORY_URL", url);
        settings.put("GOLDTHISTLE_LABORATORY_SECRET", secret);
        settings.put("GOLDTHISTLE_LABORATORY_EVERY", "1s");
        return started(settings);
    }

    private static Map<String, String> demo(boolean playsMonths) {
        return Map.of(
                "GOLDTHISTLE_DEMO",
                "true",
                "GOLDTHISTLE_DEMO_PASSPHRASE",
                PASSPHRASE,
                "GOLDTHISTLE_OUTLOOK_REST",
                playsMonths ? "0s" : "1h");
    }

    /** Starts on an emptied database as one's own, with nobody in it but its first lead. */
    static Application startEmpty(String lead) {
        stopShared();
        E2eDatabase.empty();
        return started(Map.of("GOLDTHISTLE_LEAD_CALL_SIGN", lead, "GOLDTHISTLE_LEAD_PASSPHRASE", PASSPHRASE));
    }

    private static void stopShared() {
        if (shared != null) {
            shared.stop();
            shared = null;
        }
    }

    private static Application started(Map<String, String> settings) {
        var application = new Application(settings, E2eDatabase.url());
        application.start();
        return application;
    }

    /** Another instance on the same database, as behind a proxy. */
    Application another() {
        var other = new Application(settings, databaseUrl);
        other.start();
        return other;
    }

    String url() {
        return "http://127.0.0.1:" + port;
    }

    /** Unless it runs. */
    void start() {
        if (process == null || !process.isAlive()) {
            start(UnpackedJar.command());
        }
    }

    private void start(List<String> command) {
        var builder = new ProcessBuilder(command);
        Map<String, String> environment = builder.environment();
        environment.put("SERVER_PORT", String.valueOf(port));
        environment.putAll(settings);
        environment.put("SPRING_DATASOURCE_URL", databaseUrl);
        environment.put("SPRING_FLYWAY_URL", databaseUrl);
        environment.put("GOLDTHISTLE_HASH_COST", "4"); // else the tests would mostly hash
        builder.redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.appendTo(LOG.toFile()));
        try {
            process = builder.start();
            STARTED.add(process);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        awaitHealth();
    }

    void stop() {
        process.destroy();
        try {
            if (!process.waitFor(PATIENCE.toSeconds(), TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
            STARTED.remove(process);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        if (this != shared) {
            stop();
        }
    }

    private void awaitHealth() {
        HttpClient http = HttpClient.newHttpClient();
        HttpRequest health =
                HttpRequest.newBuilder(URI.create(url() + "/actuator/health")).build();
        Instant deadline = Instant.now().plus(PATIENCE);
        while (Instant.now().isBefore(deadline) && process.isAlive()) {
            try {
                if (http.send(health, HttpResponse.BodyHandlers.ofString()).statusCode() == 200) {
                    return;
                }
                pause();
            } catch (IOException notYet) {
                pause();
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                break;
            }
        }
        stop();
        throw new IllegalStateException("the application did not start: " + log());
    }

    private void pause() {
        try {
            process.waitFor(200, TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static String log() {
        try {
            return Files.readString(LOG);
        } catch (IOException unreadable) {
            return unreadable.toString();
        }
    }

    /** Puts a new version of a group's sheet into the library, as an editor would. */
    void addVersionOfSheet(String group) {
        E2eDatabase.execute(
                "insert into sheet_version (id, group_id, version, sha256, body, created_at, built_in) select"
                        + " gen_random_uuid(), group_id, version + 1, sha256 || '+', body, now(), false from sheet_version"
                        + " where group_id = '" + group + "'");
    }

    private static int freePort() {
        try (var socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}
