package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.File;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** Data that an earlier version wrote, as a later one finds it: migrated from level to level in a schema of its own. */
class UpgradeTest extends ServerTest {
    private static final UUID CALL = UUID.fromString("00000000-0000-0000-0000-000000000009");
    private static final UUID OTHER = UUID.fromString("00000000-0000-0000-0000-000000000010");
    private static final OffsetDateTime NOW = OffsetDateTime.parse("2026-11-05T12:00:00Z");

    /** Something plain of each type, and for columns that not everything fits. */
    private static final Map<String, String> PLAIN = Map.ofEntries(
            Map.entry("text", "''"),
            Map.entry("integer", "1"),
            Map.entry("double precision", "1"),
            Map.entry("boolean", "false"),
            Map.entry("jsonb", "'{}'"),
            Map.entry("ARRAY", "'{}'"),
            Map.entry("timestamp with time zone", "now()"),
            Map.entry("group_id", "'birches'"));

    @Value("${spring.flyway.url}")
    private String url;

    @Value("${spring.flyway.user}")
    private String owner;

    @Value("${spring.flyway.password}")
    private String password;

    @Value("${spring.datasource.username}")
    private String role;

    private SingleConnectionDataSource own;
    private JdbcClient upgraded;

    @BeforeEach
    void a_schema_of_its_own() {
        own = asOwner();
        upgraded = JdbcClient.create(own);
        upgraded.sql("create schema upgrade").update();
        upgraded.sql("set search_path to upgrade, public").update();
    }

    @AfterEach
    void leaves_nothing() {
        upgraded.sql("drop schema upgrade cascade").update();
        upgraded.sql("set search_path to default").update();
        own.destroy();
    }

    @Test
    void readings_get_the_months_of_their_visits() {
        migrateTo("8");
        aCallReadIn("2026-05-04", "2026-05-30", "2026-11-02");

        migrateTo("9");

        assertThat(upgraded.sql("select visit from reading order by entry_order")
                        .query(Integer.class)
                        .list())
                .containsExactly(0, 0, 1);
        Map<String, Object> call = upgraded.sql("select month, earlier_months::text months,"
                        + " to_char(visit_begun_at, 'YYYY-MM') begun from call")
                .query()
                .singleRow();
        assertThat(call)
                .containsEntry("month", 11)
                .containsEntry("months", "{5}")
                .containsEntry("begun", "2026-11");
    }

    @Test
    void what_may_not_be_changed_may_not_after_an_upgrade_either() {
        migrateTo("8");
        aCallReadIn("2026-05-04", "2026-11-02");
        migrateTo("9");

        assertThatThrownBy(() -> upgraded.sql("update reading set visit = 5").update())
                .hasMessageContaining("append-only");
    }

    @Test
    void what_was_seen_last_lies_beside_the_call_whether_it_was_read_before_or_after() {
        migrateTo("23");
        aCallReadIn("2026-05-04");
        readAgain(100, "{\"states\": [\"few\"]}");
        readAgain(101, "{\"states\": [\"few\", \"many\"], \"values\": null}");

        migrateTo("24");

        assertThat(seen()).isEqualTo("{\"ltf\": [\"few\", \"many\"]}");
        readAgain(102, "{\"states\": null, \"values\": [2.5]}");
        assertThat(seen()).isEqualTo("{\"ltf\": [2.5]}");
        readAgain(103, "{\"notSeen\": true}");
        assertThat(seen()).isEqualTo("{\"ltf\": []}");
    }

    /** One more reading of the same character, like the first but for what was observed. */
    private void readAgain(int order, String observed) {
        upgraded.sql("insert into reading overriding system value select (jsonb_populate_record(r, jsonb_build_object("
                        + "'id', gen_random_uuid(), 'entry_order', ?, 'observed', cast(? as jsonb)))).* from reading r"
                        + " order by entry_order limit 1")
                .params(order, observed)
                .update();
    }

    private String seen() {
        return upgraded.sql("select seen::text from call").query(String.class).single();
    }

    private void migrateTo(String level) {
        Flyway.configure()
                .dataSource(url, owner, password)
                .placeholders(Map.of("role", role))
                .schemas("upgrade")
                .target(level)
                .load()
                .migrate();
    }

    @ParameterizedTest
    @MethodSource("levels")
    void data_of_every_level_comes_through_to_the_newest(String level) {
        migrateTo(level);
        aCallReadIn("2026-05-04", "2026-05-30", "2026-11-02");
        signed();

        migrateTo("latest");

        assertThat(upgraded.sql("select character_id || ' ' || visit from reading order by entry_order")
                        .query(String.class)
                        .list())
                .hasSize(3)
                .allMatch(reading -> reading.startsWith("ltf "));
        assertThat(upgraded.sql("select outcome from determination")
                        .query(String.class)
                        .list())
                .containsExactly("taxon");
        assertThat(upgraded.sql("select stands_as, stands_name from tree")
                        .query()
                        .listOfRows())
                .hasSize(1);
        for (String change : List.of("update reading set visit = 5", "delete from determination", "truncate reading")) {
            assertThatThrownBy(() -> upgraded.sql(change).update()).as(change).hasMessageContaining("append-only");
        }
        boolean beforeSights = Integer.parseInt(level) < 11;
        assertThat(upgraded.sql("select scope from sight where observer_id <> ?")
                        .param(CALL)
                        .query(String.class)
                        .list())
                .isEqualTo(beforeSights ? List.of("before") : List.of());
        assertThat(upgraded.sql("select has_table_privilege(?, 'upgrade.reading', 'insert') and not"
                                + " has_table_privilege(?, 'upgrade.reading', 'update')")
                        .params(role, role)
                        .query(Boolean.class)
                        .single())
                .isTrue();
    }

    /** Every level that was ever landed, from the first. */
    static Stream<String> levels() {
        String folder = Objects.requireNonNull(UpgradeTest.class.getResource("/db/migration"))
                .getPath();
        return Arrays.stream(Objects.requireNonNull(new File(folder).list()))
                .filter(name -> name.startsWith("V"))
                .map(name -> name.substring(1, name.indexOf("__")))
                .sorted(Comparator.comparingInt(Integer::parseInt));
    }

    private void aCallReadIn(String... days) {
        insert(
                "observer",
                Map.of("id", CALL, "call_sign", "Dunnock", "passphrase_hash", "", "role", "crew", "created_at", NOW));
        insert(
                "observer",
                Map.of("id", OTHER, "call_sign", "Serin", "passphrase_hash", "", "role", "crew", "created_at", NOW));
        insert(
                "sheet_version",
                Map.of("id", CALL, "group_id", "birches", "version", 1, "sha256", "", "created_at", NOW));
        insert("survey", Map.of("id", CALL, "name", "Tarnholt", "district", "Tarnholt", "season", 2026));
        insert("survey_member", Map.of("survey_id", CALL, "observer_id", CALL));
        insert("survey_member", Map.of("survey_id", CALL, "observer_id", OTHER));
        insert("plot", Map.of("id", CALL, "survey_id", CALL, "code", "Kettle Moss 07"));
        insert(
                "tree",
                Map.of(
                        "id",
                        CALL,
                        "plot_id",
                        CALL,
                        "tag",
                        1,
                        "group_id",
                        "birches",
                        "stage",
                        "mature",
                        "origin",
                        "wild"));
        insert(
                "call",
                Map.of(
                        "id",
                        CALL,
                        "tree_id",
                        CALL,
                        "observer_id",
                        CALL,
                        "sheet_version_id",
                        CALL,
                        "month",
                        11,
                        "stage",
                        "mature",
                        "origin",
                        "wild",
                        "tier",
                        "record",
                        "opened_at",
                        at(days[0])));
        for (String day : days) {
            insert(
                    "reading",
                    Map.of("id", UUID.randomUUID(), "call_id", CALL, "character_id", "ltf", "recorded_at", at(day)));
        }
    }

    private void signed() {
        insert(
                "determination",
                Map.of(
                        "id",
                        CALL,
                        "tree_id",
                        CALL,
                        "observer_id",
                        CALL,
                        "sheet_version_id",
                        CALL,
                        "outcome",
                        "taxon",
                        "taxon_id",
                        "pendula",
                        "signed_at",
                        NOW));
    }

    private static OffsetDateTime at(String day) {
        return OffsetDateTime.parse(day + "T12:00:00Z");
    }

    /**
     * Inserts a row as the level at hand knows it: what it has no column for is left out, and what it must have besides
     * gets something plain.
     */
    private void insert(String table, Map<String, Object> row) {
        List<String> names = new ArrayList<>();
        List<String> places = new ArrayList<>();
        List<Object> values = new ArrayList<>();
        upgraded.sql(
                        "select column_name, data_type, is_nullable = 'NO' and column_default is null and is_identity = 'NO'"
                                + " must from information_schema.columns where table_schema = 'upgrade' and table_name = ?")
                .param(table)
                .query(column -> {
                    String name = column.getString("column_name");
                    if (row.containsKey(name)) {
                        names.add(name);
                        places.add("?");
                        values.add(row.get(name));
                    } else if (column.getBoolean("must")) {
                        names.add(name);
                        places.add(PLAIN.getOrDefault(name, PLAIN.get(column.getString("data_type"))));
                    }
                });
        upgraded.sql("insert into " + table + " (" + String.join(", ", names) + ") values (" + String.join(", ", places)
                        + ")")
                .params(values)
                .update();
    }
}
