package org.goldthistle.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import org.goldthistle.core.sheet.Harm;
import org.junit.jupiter.api.Test;

class CodedTest {

    @Test
    void a_code_is_found_and_an_unknown_one_is_not() {
        assertThat(Coded.find(Harm.values(), "wound")).contains(Harm.WOUND);
        assertThat(Coded.find(Harm.values(), "WOUND")).isEmpty();
    }

    @Test
    void all_codes_are_told_in_order() {
        assertThat(Coded.codes(Harm.values())).isEqualTo("one of none, sample, wound");
    }

    @Test
    void a_refusal_says_key_finding_and_expectation_from_where_it_is_seen() {
        Refusal refusal = new Refusal("weight", "2", "less");

        assertThat(refusal.within("characters[3]").message()).isEqualTo("characters[3].weight: found 2, expected less");
        assertThat(new Refusal("", "2", "less").within("top").key()).isEqualTo("top");
        assertThat(new Refusal("", "2", "less").message()).isEqualTo("found 2, expected less");
    }

    @Test
    void refusals_are_collected_and_thrown_together() {
        var refusals = new Refusals();
        refusals.require(true, "fine", 1, "anything");
        assertThat(refusals.isEmpty()).isTrue();

        refusals.require(false, "text", "words", "others");
        refusals.addAll("inner", RefusedException.of("key", "1", "2"));

        assertThat(refusals.isEmpty()).isFalse();
        assertThat(catchThrowable(refusals::throwIfAny))
                .hasMessage("text: found \"words\", expected others; inner.key: found 1, expected 2");
    }
}
