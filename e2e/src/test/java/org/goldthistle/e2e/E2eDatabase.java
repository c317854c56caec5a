package org.goldthistle.e2e;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;

/** The database that the application is started on, and a copy of it as the demo's first start leaves it. */
final class E2eDatabase {
    /** Tests run in several JVMs at once, each on a database of its own. */
    static final String NAME = setting("GOLDTHISTLE_E2E_DATABASE_URL").replaceFirst(".*/", "") + Application.JVM;

    private static final String DEMO = NAME + "_demo";
    private static boolean demoKept;

    private E2eDatabase() {}

    static String url() {
        return url(NAME);
    }

    /** Of another database on the same server. */
    static String url(String name) {
        return setting("GOLDTHISTLE_E2E_DATABASE_URL").replaceFirst("[^/]*$", name);
    }

    static void empty() {
        administer(drop(NAME), "create database " + NAME + owned());
    }

    static boolean hasDemo() {
        return demoKept;
    }

    /** Keeps what stands in the database now as the demo's data; nobody may be connected to it. */
    static void keepDemo() {
        administer(emptied(), drop(DEMO), "create database " + DEMO + " template " + NAME + owned());
        demoKept = true;
    }

    static void fillWithDemo() {
        administer(drop(NAME), "create database " + NAME + " template " + DEMO + owned());
    }

    /** As the owner of the tables. */
    static void execute(String... statements) {
        run(url(), setting("SPRING_FLYWAY_USER"), setting("SPRING_FLYWAY_PASSWORD"), statements);
    }

    private static void administer(String... statements) {
        run(url("postgres"), "postgres", setting("GOLDTHISTLE_TEST_ADMIN"), statements);
    }

    private static void run(String url, String user, String password, String... statements) {
        try (Connection connection = DriverManager.getConnection(url, user, password);
                Statement statement = connection.createStatement()) {
            for (String sql : statements) {
                statement.execute(sql);
            }
        } catch (SQLException broken) {
            throw new IllegalStateException(broken);
        }
    }

    private static String drop(String name) {
        return "drop database if exists " + name + " with (force)";
    }

    /** Waits until the sessions of an application that ended are gone, which takes the server a moment. */
    private static String emptied() {
        return "do $$ begin for i in 1..300 loop perform pg_stat_clear_snapshot(); exit when not exists (select 1 from"
                + " pg_stat_activity where datname = '" + NAME + "'); perform pg_sleep(0.1); end loop; end $$";
    }

    private static String owned() {
        return " owner " + setting("SPRING_FLYWAY_USER") + " strategy file_copy";
    }

    private static String setting(String name) {
        return Optional.ofNullable(System.getenv(name))
                .orElseThrow(() -> new IllegalStateException("run the tests by ./goldthistle test"));
    }
}
