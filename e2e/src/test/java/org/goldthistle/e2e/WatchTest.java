package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What watches the server, with the server itself played: when it starts it again, and when it gives up. */
class WatchTest {
    @TempDir
    private Path state;

    /** The watcher's own code; starting and looking are noted in a file, and nothing is waited for. */
    private String watch(String server) {
        return "STATE=" + state
                + "; CLUSTER=none; touch $STATE/log; echo 'Caused by: the disk is full' >$STATE/run.log;"
                + " pg_runs() { return 0; }; need_postgres() { :; }; sleep() { echo \"rest $1\" >>$STATE/log; };"
                + " serve_launch() { echo start >>$STATE/log; return 0; }; " + server + " serve_watch run 8080";
    }

    private long starts() throws IOException {
        try (var lines = Files.lines(state.resolve("log"))) {
            return lines.filter(line -> line.equals("start")).count();
        }
    }

    @Test
    void a_server_that_ends_again_and_again_is_left_alone_and_told_why() throws Exception {
        int status = Shell.status(watch("serve_is_ours() { return 1; };") + " >" + state.resolve("said"));

        assertThat(status).isEqualTo(1);
        assertThat(starts()).isEqualTo(5);
        assertThat(Files.readString(state.resolve("said")))
                .contains("ended 6 times within 10 minutes", "Caused by: the disk is full");
        assertThat(Files.readAllLines(state.resolve("log")))
                .containsSubsequence(
                        "rest 1", "start", "rest 2", "start", "rest 4", "start", "rest 8", "start", "rest 16");
    }

    @Test
    void a_server_that_ended_once_is_started_once() throws Exception {
        String lives = "serve_is_ours() { [[ $(grep -c start $STATE/log) -ge 1 ]] || return 1;"
                + " [[ $(wc -l <$STATE/log) -lt 50 ]] || exit 7; };";

        int status = Shell.status(watch(lives) + " >" + state.resolve("said"));

        assertThat(status).isEqualTo(7); // the test's own end
        assertThat(starts()).isEqualTo(1);
        assertThat(Files.readString(state.resolve("said"))).contains("it runs again");
    }

    @Test
    void a_database_that_ended_is_started_again() throws Exception {
        String away = "pg_runs() { [[ -e $STATE/up ]]; }; pg_start() { echo database >>$STATE/log; touch $STATE/up; };"
                + " serve_is_ours() { [[ $(wc -l <$STATE/log) -lt 20 ]] || exit 7; };";

        assertThat(Shell.status(watch(away) + " >" + state.resolve("said"))).isEqualTo(7);

        assertThat(Files.readAllLines(state.resolve("log"))).containsOnlyOnce("database");
    }
}
