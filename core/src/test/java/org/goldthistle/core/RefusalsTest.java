package org.goldthistle.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class RefusalsTest {
    @Test
    void what_an_inner_value_refuses_stands_under_its_place_and_the_rest_goes_on() {
        var refusals = new Refusals();

        String built = refusals.attempt("name", () -> "built", "stand-in");
        String refused = refusals.attempt(
                "bark",
                () -> {
                    throw RefusedException.of("weight", "7", "a number from 0 to 1");
                },
                "stand-in");

        assertThat(built).isEqualTo("built");
        assertThat(refused).isEqualTo("stand-in");
        assertThat(refusals.isEmpty()).isFalse();
        assertThatThrownBy(refusals::throwIfAny)
                .isInstanceOf(RefusedException.class)
                .hasMessage("bark.weight: found 7, expected a number from 0 to 1");
    }

    @Test
    void a_share_lies_from_0_to_1_and_text_says_something() {
        var refusals = new Refusals();
        refusals.requireShare(0, "a");
        refusals.requireShare(1, "b");
        refusals.requireText("x", "c");
        assertThat(refusals.isEmpty()).isTrue();

        refusals.requireShare(Double.NaN, "d");
        refusals.requireShare(1.0001, "e");
        refusals.requireText(" ", "f");

        assertThatThrownBy(refusals::throwIfAny)
                .isInstanceOfSatisfying(
                        RefusedException.class,
                        all -> assertThat(all.refusals())
                                .extracting(Refusal::key)
                                .containsExactly("d", "e", "f"));
    }
}
