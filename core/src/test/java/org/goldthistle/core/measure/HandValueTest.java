package org.goldthistle.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.Measured;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class HandValueTest {
    private static final Measured.Ends AXIS = new Measured.Ends("the foot", "the tip");
    private static final Measured LINE = new Measured.Line("the blade");
    private static final Measured RATIO = new Measured.Ratio("the blade", "its width");
    private static final Measured COUNT = new Measured.Count("teeth");
    private static final Measured DIFFERENCE = new Measured.Difference("teeth", "veins");
    private static final Measured DEPTH = new Measured.Depth(AXIS, "the notch", "the lobe");
    private static final Measured PLACE = new Measured.Place(AXIS, "the widest place");

    static List<Arguments> values() {
        return List.of(
                Arguments.of(LINE, List.of(24.5), 24.5),
                Arguments.of(RATIO, List.of(24.0, 18.0), 4 / 3.0),
                Arguments.of(COUNT, List.of(7.0), 7.0),
                Arguments.of(DIFFERENCE, List.of(19.0, 11.0), 8.0),
                Arguments.of(DIFFERENCE, List.of(11.0, 11.0), 0.0),
                Arguments.of(new Measured.Angle("the base", AXIS), List.of(75.0), 75.0),
                Arguments.of(new Measured.WidthAt(AXIS, 0.25, "the width there"), List.of(12.0), 12.0),
                Arguments.of(PLACE, List.of(30.0, 80.0), 0.375),
                Arguments.of(DEPTH, List.of(20.0, 5.0), 0.75));
    }

    @ParameterizedTest
    @MethodSource("values")
    void parts_become_the_value(Measured measured, List<Double> parts, double value) {
        assertThat(HandValue.of(measured, parts)).isCloseTo(value, within(1e-12));
        assertThat(Taking.byHand(measured)).hasSameSizeAs(parts);
    }

    @Test
    void one_length_over_another_may_have_been_typed_the_other_way_round() {
        assertThat(HandValue.turned(RATIO, 0.25)).hasValue(4);
        assertThat(HandValue.turned(RATIO, 0)).isEmpty();
        assertThat(HandValue.turned(PLACE, 0.25)).isEmpty();
    }

    static List<Arguments> refusals() {
        return List.of(
                Arguments.of(RATIO, List.of(24.0), "parts", "the blade, its width"),
                Arguments.of(RATIO, List.of(24.0, 0.0), "parts", "above 0"),
                Arguments.of(RATIO, List.of(-1.0, 3.0), "parts[0]", "the blade"),
                Arguments.of(COUNT, List.of(7.5), "parts[0]", "whole number"),
                Arguments.of(LINE, List.of(Double.NaN), "parts[0]", "the blade"),
                Arguments.of(DIFFERENCE, List.of(3.0, 4.0), "parts", "teeth"),
                Arguments.of(DEPTH, List.of(3.0, 4.0), "parts", "the lobe"));
    }

    @ParameterizedTest
    @MethodSource("refusals")
    void parts_that_cannot_be_are_refused(Measured measured, List<Double> parts, String key, String words) {
        RefusedException refused = catchThrowableOfType(RefusedException.class, () -> HandValue.of(measured, parts));

        assertThat(refused.refusals()).extracting(one -> one.key()).containsExactly(key);
        assertThat(refused).hasMessageContaining(words);
    }
}
