package org.goldthistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Trust;
import org.junit.jupiter.api.Test;

class SeparatingPowerTest {
    private static final double EXACT = 1e-12;

    @Test
    void a_character_that_is_never_shared_parts_two_taxa_but_for_its_slips() {
        // after the lapse x is seen in 0.99 of a and 0.01 of b: 1 bit less the entropy of 0.01
        double entropy = -(0.99 * Math.log(0.99) + 0.01 * Math.log(0.01)) / Math.log(2);

        List<SeparatingPower> powers =
                powers(Sheets.sheet(Sheets.pair(), sharp("bark").build()), Set.of("a", "b"));

        assertEquals(1 - entropy, powers.get(0).bits(), EXACT);
    }

    @Test
    void the_most_powerful_comes_first_and_what_is_out_of_its_months_counts_less() {
        var flower = sharp("flower")
                .trust(new Trust(1, Map.of(), Set.of(4), Map.of(), Map.of(), Map.of()))
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), flower, sharp("bark").build());

        List<SeparatingPower> powers = powers(sheet, Set.of("a", "b"));

        assertThat(powers).extracting(power -> power.character().id()).containsExactly("bark", "flower");
        assertThat(powers).extracting(SeparatingPower::inSeason).containsExactly(true, false);
    }

    @Test
    void only_the_taxa_that_are_asked_for_count() {
        var bark = Sheets.character("bark")
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 1, 0)
                .in("h", 0, 1)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), bark);

        assertEquals(0, powers(sheet, Set.of("a", "b")).get(0).bits(), EXACT);
        assertThat(powers(sheet, Set.of("a", "h")).get(0).bits()).isGreaterThan(0.9);
        assertThatThrownBy(() -> powers(sheet, Set.of("a", "elsewhere")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("two taxa");
    }

    @Test
    void a_school_has_its_own_order() {
        var bark = sharp("bark")
                .trust(new Trust(
                        1, Map.of(School.CLOSE_CHARACTERS, 0.1), Sheets.ALL_YEAR, Map.of(), Map.of(), Map.of()))
                .build();
        GroupSheet sheet =
                Sheets.sheet(Sheets.pair(), bark, sharp("hairs").weight(0.5).build());

        assertThat(powers(sheet, Set.of("a", "b")).get(0).character().id()).isEqualTo("bark");
        assertThat(SeparatingPower.of(
                                GroupModel.of(sheet),
                                Sheets.wildInJune(),
                                Optional.of(School.CLOSE_CHARACTERS),
                                Set.of("a", "b"))
                        .get(0)
                        .character()
                        .id())
                .isEqualTo("hairs");
    }

    private static List<SeparatingPower> powers(GroupSheet sheet, Set<String> taxa) {
        return SeparatingPower.of(GroupModel.of(sheet), Sheets.wildInJune(), Optional.empty(), taxa);
    }

    private static Sheets.CharacterBuilder sharp(String id) {
        return Sheets.character(id).states("x", "y").in("a", 1, 0).in("b", 0, 1);
    }
}
