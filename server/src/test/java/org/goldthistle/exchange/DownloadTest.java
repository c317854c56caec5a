package org.goldthistle.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import java.io.ByteArrayInputStream;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.goldthistle.Caller;
import org.goldthistle.ServerTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** What leaves arrives whole, or is seen not to have. */
class DownloadTest extends ServerTest {
    private static final String OF_WHO_WAITS = "select pid from pg_stat_activity where wait_event_type = 'Lock'"
            + " and datname = current_database() and query ~ ' from plot p |^select p.code'"; // no other work's

    @Test
    void what_takes_long_is_whole() throws Exception {
        Caller lead = signedIn("Treecreeper");
        CompletableFuture<byte[]> download;
        try (SingleConnectionDataSource owner = asOwner()) {
            Connection holding = held(owner);
            download = CompletableFuture.supplyAsync(() -> lead.bytes(surveyPath() + "/darwin-core.zip"));
            whoWaits();
            Thread.sleep(3000); // the server's own patience is short in these tests, and looked after each second
            holding.rollback();
        }

        Set<String> files = new HashSet<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(download.get()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.add(entry.getName());
            }
        }
        assertThat(files).contains("meta.xml", "measurementorfact.txt");
    }

    @ParameterizedTest
    @CsvSource({"darwin-core.zip, true", "export.geojson, false", "readings.csv, false"})
    void what_breaks_on_the_way_is_seen_to_be_broken(String file, boolean begun) throws SQLException {
        Caller lead = signedIn("Treecreeper");
        try (SingleConnectionDataSource owner = asOwner()) {
            Connection holding = held(owner);
            CompletableFuture<Caller.Answer> answer =
                    CompletableFuture.supplyAsync(() -> lead.get(surveyPath() + "/" + file));
            int waiting = whoWaits();
            jdbc.sql("select pg_terminate_backend(?)").param(waiting).query().singleRow();
            holding.rollback();

            if (begun) {
                assertThatThrownBy(answer::join).hasCauseInstanceOf(UncheckedIOException.class);
            } else {
                answer.join().expectProblem(503, "database-away");
            }
        }
    }

    /** Keeps readings from being read, so that a file stops where they begin. */
    private static Connection held(SingleConnectionDataSource owner) throws SQLException {
        Connection holding = owner.getConnection();
        holding.setAutoCommit(false);
        try (Statement statement = holding.createStatement()) {
            statement.execute("lock table reading in access exclusive mode");
        }
        return holding;
    }

    private int whoWaits() {
        return await().atMost(30, TimeUnit.SECONDS)
                .until(() -> jdbc.sql(OF_WHO_WAITS).query(Integer.class).list(), waiting -> !waiting.isEmpty())
                .get(0);
    }
}
