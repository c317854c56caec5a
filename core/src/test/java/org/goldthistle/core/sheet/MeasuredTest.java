package org.goldthistle.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** How a number comes from what is laid, pointed at or counted. */
class MeasuredTest {
    private static final Measured.Ends AXIS = new Measured.Ends("base", "tip");

    static Stream<ThrowingCallable> silent() {
        return Stream.of(
                () -> new Measured.Line(" "),
                () -> new Measured.Ratio(" ", "width"),
                () -> new Measured.Ratio("length", " "),
                () -> new Measured.Angle(" ", AXIS),
                () -> new Measured.Count(" "),
                () -> new Measured.Difference(" ", "inner"),
                () -> new Measured.Difference("outer", " "),
                () -> new Measured.WidthAt(AXIS, 0.25, " "),
                () -> new Measured.WidthAt(AXIS, 1.01, "across"),
                () -> new Measured.WidthAt(AXIS, -0.01, "across"),
                () -> new Measured.Place(AXIS, " "),
                () -> new Measured.Depth(AXIS, " ", "lobe"),
                () -> new Measured.Depth(AXIS, "notch", " "),
                () -> new Measured.Ends(" ", "tip"),
                () -> new Measured.Ends("base", " "));
    }

    @ParameterizedTest
    @MethodSource("silent")
    void each_part_says_what_it_is_and_a_place_lies_on_its_axis(ThrowingCallable made) {
        assertThatThrownBy(made).isInstanceOf(RefusedException.class);
    }

    @Test
    void its_parts_come_in_the_order_in_which_they_are_asked_for() {
        assertThat(new Measured.Depth(AXIS, "notch", "lobe").parts()).containsExactly("base", "tip", "notch", "lobe");
        assertThat(new Measured.WidthAt(AXIS, 1, "across").parts()).containsExactly("base", "tip", "across");
        assertThat(new Measured.Difference("outer", "inner").parts()).containsExactly("outer", "inner");
        assertThat(new Measured.Place(AXIS, "widest").way().gives()).isEqualTo(Measure.RATIO);
        assertThat(List.of(new Measured.Line("a").way(), new Measured.Count("a").way()))
                .containsExactly(MeasuringWay.LINE, MeasuringWay.COUNT);
    }
}
