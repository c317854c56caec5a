package org.goldthistle.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.ArrayList;
import java.util.List;
import org.goldthistle.core.RefusedException;
import org.junit.jupiter.api.Test;

class SignedOffTest {
    private static final SignedOff.Tried RIGHT = new SignedOff.Tried(true, false);
    private static final SignedOff.Tried WRONG = new SignedOff.Tried(false, false);
    private static final SignedOff.Tried FALSE_ALARM = new SignedOff.Tried(false, true);

    private final SignedOff asked = new SignedOff(3, 4);

    @Test
    void enough_right_ones_in_any_row_pass_and_stay_passed() {
        assertThat(asked.isPassed(List.of(RIGHT, RIGHT, RIGHT))).isFalse(); // not in a row of four yet
        assertThat(asked.isPassed(List.of(RIGHT, WRONG, RIGHT, RIGHT))).isTrue();
        assertThat(asked.isPassed(List.of(RIGHT, WRONG, RIGHT, RIGHT, WRONG, WRONG, WRONG)))
                .isTrue();
        assertThat(asked.best(List.of(WRONG, WRONG, RIGHT))).isEqualTo(1);
    }

    @Test
    void a_false_alarm_spoils_every_row_that_it_lies_in() {
        List<SignedOff.Tried> tries = new ArrayList<>(List.of(RIGHT, RIGHT, FALSE_ALARM, RIGHT, RIGHT, RIGHT));
        assertThat(asked.isPassed(tries)).isFalse();
        tries.add(WRONG);
        assertThat(asked.isPassed(tries)).isTrue();
    }

    @Test
    void nothing_asked_is_passed_and_what_does_not_go_together_is_refused() {
        assertThat(new SignedOff(0, 5).isPassed(List.of())).isTrue();
        assertThatExceptionOfType(RefusedException.class).isThrownBy(() -> new SignedOff(5, 4));
        assertThatExceptionOfType(RefusedException.class).isThrownBy(() -> new SignedOff(0, 101));
    }
}
