package org.goldthistle;

import static org.awaitility.Awaitility.await;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.time.Duration;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.context.ApplicationContext;
import org.springframework.test.context.junit.jupiter.SpringExtension;

/**
 * Gives every class of tests the database as it was after the start, so that they may run in any order. The server goes on
 * running: it keeps nothing between requests but what never changes.
 */
final class FreshDatabase implements BeforeAllCallback {
    private static final String DATABASE = TestPostgres.databaseName();
    private static final String TEMPLATE = DATABASE + "_template";
    private static boolean kept;

    @Override
    public void beforeAll(ExtensionContext context) {
        ApplicationContext server = SpringExtension.getApplicationContext(context);
        leftByEverybody(DATABASE);
        if (kept) {
            server.getBean(HikariDataSource.class).getHikariPoolMXBean().softEvictConnections();
            TestPostgres.administer("drop database " + DATABASE + " with (force)", copy(TEMPLATE, DATABASE));
        } else {
            TestPostgres.administer(
                    "drop database if exists " + TEMPLATE + " with (force)",
                    copy(DATABASE, TEMPLATE),
                    "alter database " + DATABASE + " allow_connections true");
            kept = true;
        }
        server.getBean(HikariDataSource.class).getHikariPoolMXBean().softEvictConnections();
        connectedAgain(server.getBean(HikariDataSource.class));
    }

    /**
     * Waits until the server's pool has a connection again. A pool that was refused while the database was copied tries
     * anew after up to five seconds, longer than a request waits for one.
     */
    private static void connectedAgain(HikariDataSource pool) {
        await().atMost(Duration.ofMinutes(1)).ignoreExceptions().until(() -> {
            try (Connection connection = pool.getConnection()) {
                return connection.isValid(1);
            }
        });
    }

    /** A database that somebody is connected to can neither be copied nor dropped. */
    private static void leftByEverybody(String database) {
        TestPostgres.administer(
                "alter database " + database + " allow_connections false",
                "select pg_terminate_backend(pid, 5000) from pg_stat_activity where datname = '" + database + "'");
    }

    private static String copy(String from, String to) {
        return "create database " + to + " template " + from + " owner " + TestPostgres.setting("SPRING_FLYWAY_USER")
                + " strategy file_copy";
    }
}
