package org.goldthistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.Trust;
import org.junit.jupiter.api.Test;

class DecisiveSetTest {
    @Test
    void the_strongest_come_first_and_no_more_than_are_needed() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                pair("weak", 0.7).build(),
                pair("strong", 0.98).build(),
                pair("fair", 0.9).build());

        DecisiveSet set = of(sheet, 0.95);

        // after the lapse strong is 0.9704 to 0.0296: (0.9704 − 0.0296)·10·log10(0.9704/0.0296) = 14.3 of 12.8 points
        assertThat(set.characters()).extracting(one -> one.id()).containsExactly("strong");
        assertThat(set.expectedPoints()).isCloseTo(14.26, within(0.05));
        assertThat(set.enough()).isTrue();
        assertThat(of(sheet, 0.99).characters()).extracting(one -> one.id()).containsExactly("strong", "fair");
    }

    @Test
    void it_is_the_same_whichever_of_the_two_leads() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                pair("bark", 0.8).build(),
                pair("leaf", 0.95).weight(0.6).build());
        GroupModel model = GroupModel.of(sheet);

        assertThat(DecisiveSet.of(model, Sheets.wildInJune(), Optional.empty(), Harm.NONE, 0, 1, 0.99))
                .isEqualTo(DecisiveSet.of(model, Sheets.wildInJune(), Optional.empty(), Harm.NONE, 1, 0, 0.99));
    }

    @Test
    void what_cannot_be_read_now_or_must_not_be_is_left_out() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                pair("flower", 0.98)
                        .trust(new Trust(1, Map.of(), Set.of(4), Map.of(), Map.of(), Map.of()))
                        .build(),
                pair("pith", 0.98).effort(2, Harm.WOUND).build(),
                pair("leaf", 0.7).build());

        DecisiveSet set = of(sheet, 0.99);

        assertThat(set.characters()).extracting(one -> one.id()).containsExactly("leaf");
        assertThat(set.enough()).isFalse();
    }

    @Test
    void one_signal_does_not_count_twice() {
        GroupSheet apart = Sheets.sheet(
                Sheets.pair(), pair("down", 0.9).build(), pair("feel", 0.9).build());
        GroupSheet together = Sheets.sheet(
                Sheets.pair(),
                pair("down", 0.9).cluster("surface").build(),
                pair("feel", 0.9).cluster("surface").build());

        assertThat(of(together, 0.999).expectedPoints())
                .isCloseTo(of(apart, 0.999).expectedPoints() / 1.8, within(1e-9));
    }

    private static Sheets.CharacterBuilder pair(String id, double share) {
        return Sheets.character(id).states("x", "y").in("a", share, 1 - share).in("b", 1 - share, share);
    }

    private static DecisiveSet of(GroupSheet sheet, double threshold) {
        return DecisiveSet.of(GroupModel.of(sheet), Sheets.wildInJune(), Optional.empty(), Harm.NONE, 0, 1, threshold);
    }
}
