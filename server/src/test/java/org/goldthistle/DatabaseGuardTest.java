package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** What the database keeps whatever the application does, and what is told when it cannot keep anything. */
class DatabaseGuardTest extends ServerTest {
    private static final List<String> APPEND_ONLY = List.of(
            "reading",
            "gate_entry",
            "determination",
            "photo",
            "sheet_version",
            "audit_entry",
            "review_word",
            "review_decision",
            "sight");

    private SingleConnectionDataSource connection;
    private JdbcClient owner;

    @BeforeEach
    void connect() {
        connection = asOwner();
        owner = JdbcClient.create(connection);
    }

    @AfterEach
    void disconnect() {
        connection.destroy();
    }

    @Test
    void what_is_written_once_is_neither_changed_nor_deleted_nor_emptied_by_anybody() {
        UUID tree = UUID.randomUUID();
        Caller siskin = signedIn("Siskin");
        plant(siskin, UUID.randomUUID(), tree, "bird-cherries");
        siskin.put(surveyPath() + "/trees/" + tree + "/determinations/" + UUID.randomUUID(), signature("group"))
                .expect(200);

        for (String table : APPEND_ONLY) {
            String column = jdbc.sql("select column_name from information_schema.columns where table_schema = 'public'"
                            + " and table_name = ? and data_type = 'timestamp with time zone' limit 1")
                    .param(table)
                    .query(String.class)
                    .single();
            String some = column + " = " + column;
            for (String change : List.of(
                    "update " + table + " set " + some, "delete from " + table, "truncate " + table + " cascade")) {
                assertThatThrownBy(() -> jdbc.sql(change).update())
                        .as("as the application: %s", change)
                        .rootCause()
                        .hasMessageContaining("permission denied");
            }
            assertThatThrownBy(() -> truncate(table))
                    .as("as the owner: %s", table)
                    .hasMessageContaining("append-only");
        }
        for (String table : List.of("reading", "determination", "sheet_version", "audit_entry")) {
            assertThatThrownBy(() -> owner.sql("delete from " + table).update())
                    .as("as the owner: %s", table)
                    .hasMessageContaining("append-only");
        }
    }

    /** Emptying a table waits for whoever works on those that hang on it, who may wait for this in turn: then again. */
    private void truncate(String table) {
        for (int tries = 0; ; tries++) {
            try {
                owner.sql("truncate " + table + " cascade").update();
                return;
            } catch (PessimisticLockingFailureException crossed) {
                assertThat(tries).as("%s", crossed).isLessThan(5);
            }
        }
    }

    @Test
    void the_application_may_neither_make_nor_drop_nor_own_anything() {
        for (String change : List.of(
                "create table mine (id int)", "drop table memory_aid", "alter table reading disable trigger all")) {
            assertThatThrownBy(() -> jdbc.sql(change).update())
                    .as(change)
                    .rootCause()
                    .hasMessageMatching("(?s).*(permission denied|must be owner).*");
        }
        assertThat(jdbc.sql("select count(*) from pg_tables where schemaname = 'public' and tableowner = current_user")
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    @Test
    void a_full_disk_is_told_in_words_and_what_was_acknowledged_is_kept() {
        UUID tree = UUID.randomUUID();
        Caller siskin = signedIn("Siskin");
        plant(siskin, UUID.randomUUID(), tree, "bird-cherries");
        String readings = surveyPath() + "/trees/" + tree + "/readings/";
        siskin.put(readings + UUID.randomUUID(), reading()).expect(200);
        owner.sql("create function disk_is_full() returns trigger language plpgsql as $$ begin"
                        + " raise exception 'could not extend file: No space left on device' using errcode = '53100';"
                        + " end $$")
                .update();
        owner.sql(
                        "create trigger full_disk before insert on reading for each row when (new.character_id = 'fruit-collar')"
                                + " execute function disk_is_full()")
                .update();
        try {
            siskin.put(
                            readings + UUID.randomUUID(),
                            Map.of("character", "fruit-collar", "states", List.of("star-collar"), "notSeen", false))
                    .expectProblem(507, "disk-full");
        } finally {
            owner.sql("drop trigger full_disk on reading").update();
            owner.sql("drop function disk_is_full()").update();
        }

        assertThat(siskin.put(
                                readings + UUID.randomUUID(),
                                Map.of("character", "fruit-collar", "states", List.of("star-collar"), "notSeen", false))
                        .expect(200)
                        .path("readings"))
                .hasSize(2);
    }

    private static Map<String, Object> reading() {
        return Map.of("character", "tooth-shape", "states", List.of("incurved"), "certainty", "sure", "notSeen", false);
    }
}
