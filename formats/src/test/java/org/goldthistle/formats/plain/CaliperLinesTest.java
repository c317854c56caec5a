package org.goldthistle.formats.plain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CaliperLinesTest {
    private final CaliperLines lines = new CaliperLines();

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "+0012.34 mm | 12.34",
                "12,34mm | 12.34",
                "  +0000.4858 in | 12.33932",
                "0 MM | 0",
                "+0001.0000 IN | 25.4",
                "-0000.00 mm | 0"
            })
    void a_line_is_a_value_in_millimetres(String line, double millimetres) {
        assertThat(lines.read(line, 0).orElseThrow()).isCloseTo(millimetres, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "+0012",
                "mm",
                "+ mm",
                "12.3.4 mm",
                ".5 mm",
                "5. mm",
                "1e3 mm",
                "NaN mm",
                "-3 mm",
                "1001 mm",
                "٣ mm"
            })
    void a_line_that_is_no_value_is_told(String line) {
        assertThatThrownBy(() -> lines.read(line, 0))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("“" + line + "”");
    }

    @Test
    void a_long_line_is_told_in_short() {
        assertThatThrownBy(() -> lines.read("x".repeat(10_000), 0)).hasMessageContaining("…");
    }

    @Test
    void the_same_within_a_bounce_is_one_press_and_later_another() {
        assertThat(lines.read("+0012.34 mm", 1000)).hasValue(12.34);
        assertThat(lines.read("+0012.34 mm", 1299)).isEqualTo(OptionalDouble.empty());
        assertThat(lines.read("+0012.34 mm", 1600)).hasValue(12.34);
        assertThat(lines.read("+0012.35 mm", 1610)).hasValue(12.35);
        assertThat(lines.read("+0012.34 mm", 1620)).hasValue(12.34);
    }
}
