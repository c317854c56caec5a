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
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;

/** The runnable jar as a user starts it, on a database of the tests' own. */
final class Application implements AutoCloseable {
    static final String PASSPHRASE = "kettle-moss-e2e";
    private static final Path JAR = Path.of("../server/target/goldthistle.jar");
    private static final Path LOG = Path.of("target/application.log");
    private static final Duration PATIENCE = Duration.ofSeconds(240);

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
        var application = new Application(Map.of(), databaseUrl().replaceAll("/[^/]*$", "/" + name));
        application.start();
        return application;
    }

    /**
     * Starts on an emptied database.
     *
     * @param playsMonths whether it plays the months ahead of contested calls through at once
     */
    static Application startAfresh(boolean playsMonths) {
        return started(Map.of(
                "GOLDTHISTLE_DEMO",
                "true",
                "GOLDTHISTLE_DEMO_PASSPHRASE",
                PASSPHRASE,
                "GOLDTHISTLE_OUTLOOK_REST",
                playsMonths ? "0s" : "1h"));
    }

    /** Starts on an emptied database as one's own, with nobody in it but its first lead. */
    static Application startEmpty(String lead) {
        return started(Map.of("GOLDTHISTLE_LEAD_CALL_SIGN", lead, "GOLDTHISTLE_LEAD_PASSPHRASE", PASSPHRASE));
    }

    private static Application started(Map<String, String> settings) {
        empty();
        var application = new Application(settings, databaseUrl());
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

    void start() {
        var builder = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx192m",
                "-jar",
                JAR.toAbsolutePath().toString());
        Map<String, String> environment = builder.environment();
        environment.put("SERVER_PORT", String.valueOf(port));
        environment.putAll(settings);
        environment.put("SPRING_DATASOURCE_URL", databaseUrl);
        environment.put("SPRING_FLYWAY_URL", databaseUrl);
        environment.put("GOLDTHISTLE_HASH_COST", "4"); // else the tests would mostly hash
        builder.redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.appendTo(LOG.toFile()));
        try {
            process = builder.start();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        awaitHealth();
    }

    void stop() {
        process.destroy();
        try {
            if (!process.waitFor(30, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        stop();
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
        execute("insert into sheet_version (id, group_id, version, sha256, body, created_at, built_in) select"
                + " gen_random_uuid(), group_id, version + 1, sha256 || '+', body, now(), false from sheet_version"
                + " where group_id = '" + group + "'");
    }

    private static void empty() {
        execute("drop schema if exists public cascade", "create schema public");
    }

    private static void execute(String... statements) {
        try (Connection connection = DriverManager.getConnection(
                        databaseUrl(), System.getenv("SPRING_FLYWAY_USER"), System.getenv("SPRING_FLYWAY_PASSWORD"));
                Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        } catch (SQLException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private static String databaseUrl() {
        return Optional.ofNullable(System.getenv("GOLDTHISTLE_E2E_DATABASE_URL"))
                .orElseThrow(() -> new IllegalStateException("run the tests by ./goldthistle test"));
    }

    private static int freePort() {
        try (var socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}
