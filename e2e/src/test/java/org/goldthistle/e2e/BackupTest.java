package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A backup taken while the application runs, restored into another database and worked on there. */
class BackupTest {
    private static final String RESTORED = "goldthistle_restored";

    @TempDir
    private Path folder;

    @Test
    void what_is_restored_is_what_was_backed_up_and_can_be_worked_on() throws Exception {
        Path file = folder.resolve("all.backup");
        Map<String, Long> before;
        JsonNode settled;
        try (Application application = Application.startAfresh(false)) {
            ApiClient lead = new ApiClient(application.url()).signedIn("Treecreeper", Application.PASSPHRASE);
            settled = aSettledCase(lead);
            Shell.run("backup_database test-postgres " + E2eDatabase.NAME + " " + file);
            before = counts(E2eDatabase.NAME);
        }
        assertThat(Files.size(file)).isGreaterThan(10_000);
        assertThat(Files.getPosixFilePermissions(file)).hasSize(2); // its owner alone reads and writes it

        Shell.run("restore_database test-postgres " + RESTORED + " " + file);

        Map<String, Long> after = counts(RESTORED);
        for (String table : List.of("spring_session", "spring_session_attributes")) { // nobody is signed in by a backup
            before.remove(table);
            assertThat(after.remove(table)).isZero();
        }
        assertThat(after).isEqualTo(before);
        assertThat(after.get("determination")).isPositive();
        assertThatThrownBy(() -> execute(RESTORED, "delete from determination")).hasMessageContaining("append-only");
        assertThatThrownBy(() -> execute(RESTORED, "truncate reading")).hasMessageContaining("append-only");
        try (Application restored = Application.onDatabase(RESTORED)) {
            ApiClient lead = new ApiClient(restored.url()).signedIn("Treecreeper", Application.PASSPHRASE);
            JsonNode again = lead.get(casePath(settled));
            assertThat(again.path("stands")).isEqualTo(settled.path("stands"));
            assertThat(again.at("/stands/recomputes").asBoolean()).isTrue();
            assertThat(lead.get("/api/sheets")).hasSizeGreaterThan(5);
            assertThat(lead.send(
                                    "PUT",
                                    "/api/surveys/" + settled.path("surveyId").asText() + "/plots/" + UUID.randomUUID(),
                                    Map.of(
                                            "code",
                                            "Wrack restored",
                                            "radiusMetres",
                                            15,
                                            "habitat",
                                            List.of(),
                                            "notes",
                                            ""))
                            .status())
                    .isEqualTo(200);
        }
    }

    @Test
    void what_is_no_backup_changes_nothing() throws Exception {
        Path file = Files.writeString(folder.resolve("broken.backup"), "not a backup");

        assertThat(Shell.status("restore_is_backup " + file)).isNotZero();
        assertThat(Shell.status("restore_database test-postgres " + E2eDatabase.NAME + " " + file))
                .isNotZero();
        assertThat(Shell.status("restore_counts test-postgres " + E2eDatabase.NAME + "_restoring | grep -qx 0"))
                .isZero();
    }

    @Test
    void only_the_newest_backups_stay() throws Exception {
        for (int day = 10; day < 20; day++) {
            Files.writeString(folder.resolve("goldthistle-2026-10-" + day + "-030000.backup"), "x");
        }
        Files.writeString(folder.resolve("notes.txt"), "mine");

        Shell.run("backup_forget 3 " + folder);

        try (var left = Files.list(folder)) {
            assertThat(left.map(one -> one.getFileName().toString()))
                    .containsExactlyInAnyOrder(
                            "goldthistle-2026-10-17-030000.backup",
                            "goldthistle-2026-10-18-030000.backup",
                            "goldthistle-2026-10-19-030000.backup",
                            "notes.txt");
        }
    }

    private static JsonNode aSettledCase(ApiClient lead) {
        for (JsonNode survey : lead.get("/api/surveys")) {
            String path = "/api/surveys/" + survey.path("id").asText();
            for (JsonNode row : lead.get(path + "/review?settled=true").path("rows")) {
                JsonNode found = lead.get(path + "/review/" + row.path("id").asText());
                if (found.hasNonNull("stands")) {
                    return found;
                }
            }
        }
        throw new AssertionError("the demo data has a settled case");
    }

    private static String casePath(JsonNode one) {
        return "/api/surveys/" + one.path("surveyId").asText() + "/review/"
                + one.path("id").asText();
    }

    private static Map<String, Long> counts(String database) throws SQLException {
        Map<String, Long> counts = new TreeMap<>();
        try (Connection connection = connection(database);
                Statement statement = connection.createStatement()) {
            List<String> tables = new ArrayList<>();
            try (ResultSet rows =
                    statement.executeQuery("select tablename from pg_tables where schemaname = 'public'")) {
                while (rows.next()) {
                    tables.add(rows.getString(1));
                }
            }
            for (String table : tables) {
                try (ResultSet row = statement.executeQuery("select count(*) from " + table)) {
                    row.next();
                    counts.put(table, row.getLong(1));
                }
            }
        }
        counts.remove("sight"); // looking at the case wrote one more
        return counts;
    }

    private static void execute(String database, String sql) throws SQLException {
        try (Connection connection = connection(database);
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static Connection connection(String database) throws SQLException {
        return DriverManager.getConnection(
                E2eDatabase.url(database),
                System.getenv("SPRING_FLYWAY_USER"),
                System.getenv("SPRING_FLYWAY_PASSWORD"));
    }
}
