package org.goldthistle;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The PostgreSQL of the tests: the one that {@code ./goldthistle test} started, or else, as when somebody runs a class in
 * an IDE, one that is started here in the same way.
 */
final class TestPostgres {
    private static final String URL = "SPRING_DATASOURCE_URL";

    /** Which of the JVMs this is that run tests at once, as an ending of names; empty: it is alone. */
    private static final String JVM = System.getProperty("goldthistle.test.jvm", "");

    private static final Map<String, String> SETTINGS = settings();

    static {
        if (!JVM.isEmpty()) {
            makeOwnDatabase();
        }
    }

    private TestPostgres() {}

    /** What the server is told of it, by the names of environment variables. */
    static String setting(String name) {
        return SETTINGS.get(name);
    }

    static String databaseName() {
        return setting(URL).replaceFirst(".*/", "");
    }

    /** Does something as the cluster's administrator, in no database of the tests. */
    static void administer(String... statements) {
        String url = setting(URL).replaceFirst("[^/]*$", "postgres");
        try (Connection connection = DriverManager.getConnection(url, "postgres", setting("GOLDTHISTLE_TEST_ADMIN"));
                Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        } catch (SQLException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private static Map<String, String> settings() {
        Map<String, String> settings = new HashMap<>(System.getenv(URL) != null ? System.getenv() : started());
        if (!JVM.isEmpty()) {
            for (String url : List.of(URL, "SPRING_FLYWAY_URL")) {
                settings.computeIfPresent(url, (name, whole) -> whole + JVM);
            }
        }
        return settings;
    }

    /** JVMs that run tests at once have a database each. */
    private static void makeOwnDatabase() {
        administer(
                "drop database if exists " + databaseName() + " with (force)",
                "create database " + databaseName() + " owner " + setting("SPRING_FLYWAY_USER"));
    }

    private static Map<String, String> started() {
        Map<String, String> told = new HashMap<>();
        try {
            Process starting = new ProcessBuilder("./goldthistle", "test-database")
                    .directory(new File(".."))
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            new String(starting.getInputStream().readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> line.contains("="))
                    .forEach(line ->
                            told.put(line.substring(0, line.indexOf('=')), line.substring(line.indexOf('=') + 1)));
            if (starting.waitFor() != 0) {
                throw new IllegalStateException("./goldthistle test-database failed; what it said stands above");
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        return told;
    }
}
