package org.goldthistle.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/** Runs functions of the project's own scripts, as its commands do. */
final class Shell {
    private static final Path LOG = Path.of("target/shell.log");

    private Shell() {}

    /** Runs a command that must succeed. */
    static void run(String command) throws IOException, InterruptedException {
        assertThat(status(command)).as(command).isZero();
    }

    /** The status that a command ends with. */
    static int status(String command) throws IOException, InterruptedException {
        ProcessBuilder.Redirect log = ProcessBuilder.Redirect.appendTo(LOG.toFile());
        return process(command).redirectOutput(log).redirectError(log).start().waitFor();
    }

    /** What a command prints. */
    static String output(String command) throws IOException, InterruptedException {
        Process asked = process(command).start();
        String text = new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(asked.waitFor()).as(command).isZero();
        return text.strip();
    }

    private static ProcessBuilder process(String command) throws IOException {
        Path root = Path.of("..").toRealPath();
        return new ProcessBuilder(
                "bash",
                "-c",
                "set -euo pipefail; ROOT=" + root + "; for part in common tools postgres build serve backup; do source"
                        + " $ROOT/scripts/$part.sh; done; need_postgres; " + command);
    }
}
