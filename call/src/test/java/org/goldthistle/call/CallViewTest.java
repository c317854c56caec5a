package org.goldthistle.call;

import static org.assertj.core.api.Assertions.assertThat;
import static org.goldthistle.call.Birch.states;

import java.util.List;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Zone;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

class CallViewTest {

    @Test
    void the_path_goes_from_far_to_near_through_what_can_be_read_today() {
        CallView view = view(Birch.inSeptember().woundsAllowed());
        List<Zone> zones = view.path().stream()
                .map(id -> Birch.SHEET.sheet().character(id).orElseThrow())
                .map(DiagnosticCharacter::zone)
                .toList();

        assertThat(zones).isSorted();
        assertThat(view.path())
                .startsWith("crown-twigs")
                .endsWith("inner-bark-test")
                .contains("ltf");
        assertThat(view.notAllowed()).isEmpty();
        assertThat(view(Birch.inSeptember().in(12)).path()).doesNotContain("ltf");
    }

    @Test
    void what_wounds_is_not_in_the_path_of_a_survey_that_does_not_allow_it() {
        CallView view = view(Birch.inSeptember());

        assertThat(view.path()).doesNotContain("inner-bark-test");
        assertThat(view.notAllowed()).containsExactly("inner-bark-test");
    }

    @Test
    void what_no_tree_of_the_stage_bears_is_not_in_the_path() {
        CallView sapling = view(Birch.inSeptember().at("sapling"));

        assertThat(sapling.notAtThisStage()).contains("catkin-scale-lobes");
        assertThat(sapling.path()).doesNotContainAnyElementsOf(sapling.notAtThisStage());
    }

    @Test
    void every_view_is_there_and_the_first_two_are_the_figures() {
        CallView view = view(Birch.inSeptember().plainlySilver());

        assertThat(view.views()).hasSize(2 + 2 * School.values().length);
        assertThat(view.views().get(0).shares())
                .isEqualTo(view.figures().withSurroundings().shares().stream()
                        .map(Figures.Share::posterior)
                        .toList());
        assertThat(view.views().get(1).featuresAlone()).isTrue();
        assertThat(view.thistle().leadName()).isEqualTo("silver birch");
    }

    @Test
    void the_gate_is_all_that_lacks_once_everything_else_is_there() {
        Birch birch = Birch.inSeptember().forA(Tier.RECORD).plainlySilver();

        assertThat(view(birch).missing()).singleElement().asString().contains("3 of 3 to look at");
        assertThat(view(birch).gateAllThatLacks()).isTrue();
        assertThat(view(birch.gateFits()).gateAllThatLacks()).isFalse();
        assertThat(view(birch.mark("alternate-leaves", Mark.FAILS)).gateAllThatLacks())
                .isFalse();
        assertThat(view(Birch.inSeptember().forA(Tier.RECORD).read(states("bark-base", "cracked")))
                        .gateAllThatLacks())
                .isFalse();
    }

    private static CallView view(Birch birch) {
        return CallView.of(birch.call(), CallRecord.EMPTY);
    }
}
