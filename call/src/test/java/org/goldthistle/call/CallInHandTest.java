package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.goldthistle.call.Birch.notSeen;
import static org.goldthistle.call.Birch.states;
import static org.goldthistle.call.Birch.takenBack;

import java.util.List;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.verdict.CallRecord;
import org.junit.jupiter.api.Test;

class CallInHandTest {

    @Test
    void the_reading_that_was_made_last_counts_whichever_came_in_last() {
        CallInHand call = Birch.inSeptember()
                .read(states("twig-warts", "dense"), 5)
                .read(states("bark-base", "bosses"), 2)
                .read(states("twig-warts", "absent"), 1)
                .call();

        assertThat(call.counting())
                .extracting(one -> one.reading().character())
                .containsExactly("bark-base", "twig-warts");
        assertThat(call.counting().get(1).reading().states()).containsExactly("dense");
    }

    @Test
    void what_was_taken_back_counts_no_more_and_can_be_read_again() {
        Birch birch = Birch.inSeptember().read(states("bark-base", "bosses")).read(takenBack("bark-base"));

        assertThat(birch.call().counting()).isEmpty();
        assertThat(birch.read(states("bark-base", "cracked")).call().counting()).hasSize(1);
    }

    @Test
    void a_gate_item_counts_as_it_was_marked_last() {
        CallInHand call = Birch.inSeptember()
                .mark("alternate-leaves", Mark.FAILS)
                .mark("catkin-falls-apart", Mark.FITS)
                .mark("alternate-leaves", Mark.FITS)
                .mark("catkin-falls-apart", Mark.TAKEN_BACK)
                .call();

        assertThat(call.gate()).containsExactly(new GateMark("alternate-leaves", true));
    }

    @Test
    void what_was_read_in_another_month_keeps_that_and_what_was_not_seen_then_is_looked_for_again() {
        Birch birch = Birch.inSeptember().read(states("leaf-teeth", "double")).read(notSeen("twig-warts"));
        double september = weightOf(birch.call(), "leaf-teeth");

        CallInHand december = birch.in(12).call();

        assertThat(december.reading(december.counting().get(0)).month()).isEqualTo(9);
        assertThat(weightOf(december, "leaf-teeth")).isCloseTo(september, within(1e-12));
        assertThat(december.counting())
                .filteredOn(december::isToBeLookedForAgain)
                .extracting(one -> one.reading().character())
                .containsExactly("twig-warts");
        assertThat(CallView.of(december, CallRecord.EMPTY).readings())
                .extracting(one -> one.reading().character())
                .containsExactly("leaf-teeth");
    }

    @Test
    void the_outlook_is_the_same_whenever_it_is_asked_for() {
        CallInHand call =
                Birch.inSeptember().read(states("bark-base", "cracked")).call();

        assertThat(call.outlook(CallRecord.EMPTY)).hasSize(12).isEqualTo(call.outlook(CallRecord.EMPTY));
    }

    @Test
    void marks_of_what_another_version_does_not_ask_for_are_left_out() {
        CallInHand call = Birch.inSeptember()
                .mark("gone", Mark.FITS)
                .mark("alternate-leaves", Mark.FITS)
                .call();

        assertThat(call.on(Birch.SHEET).gate()).isEqualTo(List.of(new GateMark("alternate-leaves", true)));
    }

    private static double weightOf(CallInHand call, String character) {
        return Figures.of(call.assessment(CallRecord.EMPTY)).weighed().stream()
                .filter(one -> one.character().equals(character))
                .findFirst()
                .orElseThrow()
                .weight();
    }
}
