package org.goldthistle;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.goldthistle.core.Coded;
import org.goldthistle.platform.ProblemType;
import org.junit.jupiter.api.Test;

/** A kind of problem that no test meets could be told wrongly, or never. */
class EveryProblemIsMetTest {
    @Test
    void each_kind_is_named_by_a_test() throws IOException {
        String tests = testsIn("src/test/java") + testsIn("../e2e/src/test/java");

        List<String> unmet = Arrays.stream(ProblemType.values())
                .map(Coded::code)
                .filter(code -> !Pattern.compile("(?<![a-z-])" + code + "(?![a-z-])")
                        .matcher(tests)
                        .find())
                .toList();

        assertThat(unmet).isEmpty();
    }

    private static String testsIn(String folder) throws IOException {
        try (Stream<Path> sources = Files.walk(Path.of(folder))) {
            return sources.filter(one -> one.toString().endsWith("Test.java"))
                    .map(EveryProblemIsMetTest::text)
                    .collect(Collectors.joining());
        }
    }

    private static String text(Path source) {
        try {
            return Files.readString(source);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
