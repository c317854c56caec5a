package org.goldthistle.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.GroupSheet;
import org.junit.jupiter.api.Test;

class JointBalanceTest {
    private static final double EXACT = 1e-12;
    private static final GroupModel MODEL = GroupModel.of(sheet());

    private static GroupSheet sheet() {
        return Sheets.sheet(
                Sheets.pair(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 0.9, 0.1)
                        .in("b", 0.2, 0.8)
                        .build(),
                Sheets.character("down")
                        .states("x", "y")
                        .in("a", 0.7, 0.3)
                        .in("b", 0.3, 0.7)
                        .cluster("surface")
                        .build(),
                Sheets.character("feel")
                        .states("x", "y")
                        .in("a", 0.7, 0.3)
                        .in("b", 0.3, 0.7)
                        .cluster("surface")
                        .build());
    }

    @Test
    void one_observer_alone_has_their_own_balance() {
        Balance alone = balance(Sheets.saw("bark", "x"), Sheets.saw("down", "y"), Sheets.saw("feel", "x"));

        JointBalance joint = JointBalance.of(List.of(alone));

        for (int k = 0; k <= 2; k++) {
            assertThat(joint.posterior(k)).isCloseTo(k < 2 ? alone.posterior(k) : alone.noneOfThese(), within(EXACT));
        }
        assertThat(joint.totalPoints(0, 1)).isCloseTo(alone.totalPoints(0, 1), within(1e-9));
    }

    @Test
    void two_who_agree_count_as_a_quarter_more_than_one() {
        // m = 2: 2/(1 + 0.6) = 1.25
        Balance one = balance(Sheets.saw("bark", "x"));

        JointBalance joint = JointBalance.of(List.of(one, balance(Sheets.saw("bark", "x"))));

        assertThat(JointBalance.looks(2)).isEqualTo(1.25);
        assertThat(JointBalance.looks(3)).isCloseTo(3 / 2.2, within(EXACT));
        assertThat(joint.points(0, 0, 1)).isCloseTo(1.25 * one.points(0, 0, 1), within(1e-9));
        assertThat(joint.readings().get(0).observers()).isEqualTo(2);
        assertThat(joint.posterior(0)).isGreaterThan(one.posterior(0));
    }

    @Test
    void disagreement_weakens_the_call() {
        Balance one = balance(Sheets.saw("bark", "x"));

        JointBalance joint = JointBalance.of(List.of(one, balance(Sheets.saw("bark", "y"))));

        assertThat(joint.posterior(joint.lead())).isLessThan(one.posterior(one.lead()));
    }

    @Test
    void what_only_one_read_counts_once_and_clusters_share_over_all_observers() {
        Balance first = balance(Sheets.saw("down", "x"));
        Balance second = balance(Sheets.saw("feel", "x"));

        JointBalance joint = JointBalance.of(List.of(first, second));

        // g = 2 of one cluster: φ = 1/1.8 for each, as if one person had read both
        Balance both = balance(Sheets.saw("down", "x"), Sheets.saw("feel", "x"));
        assertThat(joint.totalPoints(0, 1)).isCloseTo(both.totalPoints(0, 1), within(1e-9));
    }

    @Test
    void balances_of_two_sheets_do_not_mix() {
        Balance other = Weighing.of(
                        GroupModel.of(sheet()),
                        Evidence.of(sheet(), Sheets.wildInJune(), List.of(Sheets.saw("bark", "x"))),
                        Optional.empty())
                .featuresAlone();

        assertThatThrownBy(() -> JointBalance.of(List.of(balance(Sheets.saw("bark", "x")), other)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("one sheet");
        assertThatThrownBy(() -> JointBalance.of(List.of())).isInstanceOf(IllegalArgumentException.class);
    }

    private static Balance balance(Observation... observations) {
        Evidence evidence = Evidence.of(MODEL.sheet(), Sheets.wildInJune(), List.of(observations));
        return Weighing.of(MODEL, evidence, Optional.empty()).featuresAlone();
    }
}
