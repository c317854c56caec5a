package org.goldthistle.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

/** Whether what is believed comes true, on trees whose shares can be worked by hand. */
class ReliabilityTest {
    private static final double EXACT = 1e-12;
    private static final GroupSheet SHEET = Sheets.sheet(
            Sheets.pair(),
            Sheets.character("bark")
                    .states("x", "y")
                    .in("a", 0.8, 0.2)
                    .in("b", 0.2, 0.8)
                    .build());
    private static final GroupModel MODEL = GroupModel.of(SHEET);

    @Test
    void figures_of_two_trees_by_hand() {
        VerifiedTree right = tree("t1", "x", "a");
        VerifiedTree wrong = tree("t2", "x", "b");
        Balance balance = right.asSigned(MODEL);
        double a = balance.posterior(0);
        double b = balance.posterior(1);
        double none = balance.noneOfThese();

        Reliability two = Reliability.of(MODEL, List.of(right, wrong));

        assertThat(two.logLoss().orElseThrow()).isCloseTo(-(Math.log(a) + Math.log(b)) / 2, within(EXACT));
        assertThat(two.brier().orElseThrow())
                .isCloseTo(((1 - a) * (1 - a) + b * b + a * a + (1 - b) * (1 - b)) / 2 + none * none, within(EXACT));
        // two bins, each with two points of which one came true
        assertThat(two.calibrationError().orElseThrow())
                .isCloseTo(0.5 * Math.abs(a - 0.5) + 0.5 * Math.abs(b - 0.5), within(EXACT));
        assertThat(two.bins()).hasSize(10);
        assertThat(two.bins().stream().mapToInt(bin -> bin.points().size()).sum())
                .isEqualTo(4);
        assertThat(two.isOfEnough()).isFalse();
    }

    @Test
    void a_certain_share_falls_into_the_last_bin_and_an_impossible_one_keeps_its_loss() {
        var sharp = Sheets.character("bark")
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .replication(100, 0)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), sharp);
        GroupModel model = GroupModel.of(sheet);
        List<String> hundred = new ArrayList<>();
        for (int n = 0; n < 100; n++) {
            hundred.add("x");
        }
        Evidence evidence =
                Evidence.of(sheet, Sheets.wildInJune(), List.of(Sheets.saw("bark", hundred.toArray(String[]::new))));
        VerifiedTree surprising = VerifiedTree.of(model, "t", evidence, "b", Tier.RECORD, Optional.empty());

        Reliability one = Reliability.of(model, List.of(surprising));

        assertThat(one.bins().get(9).points()).hasSize(1);
        assertThat(one.bins().get(9).points().get(0).right()).isFalse();
        assertThat(one.logLoss().orElseThrow()).isFinite().isGreaterThan(300);
    }

    @Test
    void without_trees_there_are_no_figures() {
        Reliability none = Reliability.of(MODEL, List.of());

        assertThat(none.logLoss()).isEmpty();
        assertThat(none.calibrationError()).isEmpty();
        assertThat(none.bins()).allSatisfy(bin -> assertThat(bin.meanShare()).isEmpty());
    }

    @Test
    void a_truth_that_the_sheet_does_not_know_is_refused() {
        assertThatThrownBy(() -> tree("t", "x", "oak"))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("\"oak\"")
                .hasMessageContaining("a, b");
    }

    private static VerifiedTree tree(String id, String seen, String truth) {
        Evidence evidence = Evidence.of(SHEET, Sheets.wildInJune(), List.of(Sheets.saw("bark", seen)));
        return VerifiedTree.of(MODEL, id, evidence, truth, Tier.RECORD, Optional.empty());
    }
}
