package org.goldthistle.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.change.Aspect;
import org.goldthistle.core.change.SheetChange;
import org.goldthistle.core.change.Stated;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How changes read in a terminal. */
class ChangeTextTest {
    @Test
    void a_change_is_one_line() {
        assertThat(ChangeText.line(change(
                        Aspect.SHARE,
                        List.of("silver birch", "rough"),
                        stated(Stated.Kind.SHARE, List.of(), 0.6),
                        stated(Stated.Kind.SHARE, List.of(), 0.555))))
                .isEqualTo("share, silver birch, rough: 55.5 % instead of 60 %");
        assertThat(ChangeText.line(change(
                        Aspect.PROFILE,
                        List.of("silver birch"),
                        Optional.empty(),
                        stated(Stated.Kind.RANGE, List.of(), 6, 8.5, 12, 15))))
                .isEqualTo("profile, silver birch: (6-)8.5-12(-15) instead of nothing");
        assertThat(ChangeText.line(change(
                        Aspect.PROFILE,
                        List.of(),
                        stated(Stated.Kind.SHARES, List.of("rough", "smooth"), 0.6, 0.4),
                        stated(Stated.Kind.FACTORS, List.of("pole"), 0.5))))
                .isEqualTo("profile: pole 0.5 instead of rough 60 %, smooth 40 %");
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0",
        "12, 12",
        "0.5, 0.5",
        "0.07, 0.07",
        "0.00004, 0",
        "0.0001, 0.0001",
        "-3.25, -3.25",
        "1300, 1300",
        "99.99999, 100"
    })
    void numbers_are_told_without_idle_digits(double value, String text) {
        assertThat(ChangeText.number(value)).isEqualTo(text);
    }

    private static SheetChange change(Aspect aspect, List<String> of, Optional<Stated> before, Optional<Stated> after) {
        return new SheetChange(SheetChange.Part.CHARACTER, "the bark", aspect, of, before, after);
    }

    private static Optional<Stated> stated(Stated.Kind kind, List<String> texts, double... numbers) {
        return Optional.of(
                new Stated(kind, texts, Arrays.stream(numbers).boxed().toList(), Optional.empty()));
    }
}
