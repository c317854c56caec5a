package org.goldthistle.core.balance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class NormalDistributionTest {
    @Property
    void a_quantile_has_its_share_below(@ForAll @DoubleRange(min = -12, max = 12) double logit) {
        double share = 1 / (1 + Math.exp(-logit));

        assertThat(NormalDistribution.below(NormalDistribution.quantile(share)))
                .isCloseTo(share, within(1e-14 + 1e-11 * share));
    }

    @Test
    void known_values() {
        assertThat(NormalDistribution.quantile(0.5)).isZero();
        assertThat(NormalDistribution.quantile(0.95)).isCloseTo(1.6448536269514722, within(1e-14));
        assertThat(NormalDistribution.quantile(0.001)).isCloseTo(-3.090232306167813, within(1e-13));
    }

    @Property
    void a_two_piece_normal_has_the_share_of_each_of_its_pieces_below(
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double share,
            @ForAll @DoubleRange(min = 0.1, max = 9) double left,
            @ForAll @DoubleRange(min = 0.1, max = 9) double right) {
        var spread = new TwoPieceNormal(20, left, right);

        assertThat(spread.mass(-1000, spread.quantile(share))).isCloseTo(share, within(1e-11));
    }
}
