package org.goldthistle.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * The runnable jar unpacked as Spring Boot does it, with an archive of its loaded classes beside it: a start takes a third of
 * what it takes from the jar alone. Of each JVM that runs tests.
 */
final class UnpackedJar {
    private static final Path JAR = Path.of("../server/target/goldthistle.jar");
    private static final Path FOLDER = Path.of("target/unpacked" + Application.JVM);
    private static final Path ARCHIVE = FOLDER.resolve("classes.jsa");

    /** What is compiled runs for minutes at most. */
    private static final List<String> OPTIONS = List.of("-Xmx192m", "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");

    private static boolean unpacked;

    private UnpackedJar() {}

    /** The command that starts the application. */
    static List<String> command() {
        return command(Files.exists(ARCHIVE) && unpacked ? List.of("-XX:SharedArchiveFile=" + ARCHIVE) : List.of());
    }

    /** The command that starts it, and leaves the archive for later starts when it ends. */
    static List<String> archivingCommand() {
        return command(List.of("-XX:ArchiveClassesAtExit=" + ARCHIVE));
    }

    private static List<String> command(List<String> more) {
        unpack();
        List<String> command = new ArrayList<>(List.of(java()));
        command.addAll(OPTIONS);
        command.addAll(more);
        command.addAll(List.of("-jar", FOLDER.resolve(JAR.getFileName()).toString()));
        return command;
    }

    private static synchronized void unpack() {
        if (unpacked) {
            return;
        }
        try {
            Files.deleteIfExists(ARCHIVE);
            int status = new ProcessBuilder(
                            java(),
                            "-Djarmode=tools",
                            "-jar",
                            JAR.toString(),
                            "extract",
                            "--force",
                            "--destination",
                            FOLDER.toString())
                    .redirectErrorStream(true)
                    .redirectOutput(FOLDER.resolveSibling("unpacked" + Application.JVM + ".log")
                            .toFile())
                    .start()
                    .waitFor();
            if (status != 0) {
                throw new IllegalStateException("the jar was not unpacked: status " + status);
            }
            unpacked = true;
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    private static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }
}
