package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** Data that an earlier version wrote, as a later one finds it: migrated from level to level in a schema of its own. */
class UpgradeTest extends ServerTest {
    private static final UUID CALL = UUID.fromString("00000000-0000-0000-0000-000000000009");

    @Autowired
    private DataSource database;

    private SingleConnectionDataSource own;
    private JdbcClient upgraded;

    @BeforeEach
    void a_schema_of_its_own() throws SQLException {
        own = new SingleConnectionDataSource(database.getConnection(), true);
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

    private void migrateTo(String level) {
        Flyway.configure()
                .dataSource(database)
                .schemas("upgrade")
                .target(level)
                .load()
                .migrate();
    }

    private void aCallReadIn(String... days) {
        UUID id = CALL;
        for (String sql : List.of(
                "insert into observer (id, call_sign, passphrase_hash, role, created_at) values (?, 'Dunnock', '', 'crew', now())",
                "insert into sheet_version (id, group_id, version, sha256, body, created_at)"
                        + " values (?, 'birches', 1, '', '{}', now())",
                "insert into survey (id, name, district, season) values (?, 'Tarnholt', 'Tarnholt', 2026)")) {
            upgraded.sql(sql).param(id).update();
        }
        upgraded.sql("insert into plot (id, survey_id, code) values (?, ?, 'Kettle Moss 07')")
                .params(id, id)
                .update();
        upgraded.sql(
                        "insert into tree (id, plot_id, tag, group_id, azimuth_degrees, distance_metres, diameter_millimetres,"
                                + " stage, origin, habitat) values (?, ?, 1, 'birches', 1, 1, 100, 'mature', 'wild', '{}')")
                .params(id, id)
                .update();
        upgraded.sql(
                        "insert into call (id, tree_id, observer_id, sheet_version_id, group_id, month, stage, origin, habitat,"
                                + " tier, opened_at, taken_up_at)"
                                + " values (?, ?, ?, ?, 'birches', 11, 'mature', 'wild', '{}', 'record', ?::timestamptz, now())")
                .params(id, id, id, id, days[0])
                .update();
        for (String day : days) {
            upgraded.sql("insert into reading (id, call_id, character_id, observed, recorded_at)"
                            + " values (?, ?, 'ltf', '{}', ?::timestamptz)")
                    .params(UUID.randomUUID(), id, day)
                    .update();
        }
    }
}
