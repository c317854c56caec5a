package org.goldthistle.core.vigour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.plot.PolarPosition;
import org.goldthistle.core.vigour.Competition.Standing;
import org.junit.jupiter.api.Test;

class CompetitionTest {
    private static Standing stem(int tag, double azimuth, double metres, int diameter) {
        return new Standing(tag, new PolarPosition(azimuth, metres), diameter, false);
    }

    @Test
    void it_is_hegyis_sum_over_those_within_six_metres_the_hardest_pressing_first() {
        Standing centre = stem(1, 0, 0, 200);
        Competition found = Competition.of(
                centre,
                List.of(
                        centre,
                        stem(2, 90, 2, 300),
                        stem(3, 180, 5, 100),
                        stem(4, 0, 6.01, 900),
                        new Standing(5, new PolarPosition(10, 1), 500, true)));

        double first = 300.0 / 200 / 2.3;
        double second = 100.0 / 200 / 5.3;
        assertThat(found.index()).isCloseTo(first + second, within(1e-12));
        assertThat(found.pressing()).extracting(Competition.Pressing::tag).containsExactly(2, 3);
        assertThat(found.pressing().get(0).share()).isCloseTo(first / (first + second), within(1e-12));
    }

    @Test
    void a_stem_on_the_same_spot_presses_much_and_not_beyond_measure() {
        Competition found = Competition.of(stem(1, 20, 3, 150), List.of(stem(2, 20, 3, 150)));

        assertThat(found.index()).isCloseTo(1 / 0.3, within(1e-9));
    }

    @Test
    void nothing_near_presses_nothing() {
        assertThat(Competition.of(stem(1, 0, 0, 100), List.of())).isEqualTo(new Competition(0, List.of()));
    }

    @Test
    void what_cannot_be_of_a_tree_is_refused_and_what_is_odd_is_asked() {
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> vigour(List.of(240, 180, 60, 10)))
                .withMessageContaining("three years");
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> vigour(List.of(-1)))
                .withMessageContaining("leaders");
        assertThat(vigour(List.of(240, 180, 60)).seemsBackwards()).isFalse();
        assertThat(vigour(List.of(60, 180, 400)).seemsBackwards()).isTrue();
        assertThat(vigour(List.of(60, 180)).seemsBackwards()).isFalse();
    }

    private static Vigour vigour(List<Integer> leaders) {
        return new Vigour(
                leaders, OptionalInt.of(2), Optional.of(CrownClass.SUPPRESSED), Optional.empty(), Set.of(), false);
    }
}
