package org.goldthistle.core.hybrid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.StateProfile;
import org.junit.jupiter.api.Test;

/** Section 11 on figures worked by hand. */
class AncestryTest {
    private static final double EXACT = 1e-12;

    @Test
    void numbers_of_a_hybrid_lie_between_its_parents_and_vary_somewhat_more() {
        // lo = (10+20)/2 = 15, hi = (14+30)/2 = 22, d = 7: [(8+16)/2 − 1.75, 15 − 0.7, 22 + 0.7, (16+34)/2 + 1.75]
        DiagnosticCharacter length = Sheets.character("length")
                .numbers(Measure.LENGTH)
                .range("a", 8, 10, 14, 16)
                .range("b", 16, 20, 30, 34)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), length);

        Range range = ((RangeProfile) sheet.profile(length, "h")).range();

        assertEquals(10.25, range.rarelyLow(), EXACT);
        assertEquals(14.3, range.usuallyLow(), EXACT);
        assertEquals(22.7, range.usuallyHigh(), EXACT);
        assertEquals(26.75, range.rarelyHigh(), EXACT);
    }

    @Test
    void ordered_states_of_a_hybrid_are_half_mixed_and_half_in_between() {
        // a always x, b always z: half (½, 0, ½), half the midpoint y
        DiagnosticCharacter bark = Sheets.character("bark")
                .ordered("x", "y", "z")
                .in("a", 1, 0, 0)
                .in("b", 0, 0, 1)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), bark);

        StateProfile profile = (StateProfile) sheet.profile(bark, "h");

        assertEquals(0.25, profile.frequency("x"), EXACT);
        assertEquals(0.5, profile.frequency("y"), EXACT);
        assertEquals(0.25, profile.frequency("z"), EXACT);
    }

    @Test
    void a_midpoint_between_two_states_is_split_over_both() {
        // a always x, b always y: the midpoint ½ goes half to x and half to y
        DiagnosticCharacter bark = Sheets.character("bark")
                .ordered("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), bark);

        assertEquals(0.5, ((StateProfile) sheet.profile(bark, "h")).frequency("x"), EXACT);
    }

    @Test
    void unordered_states_of_a_hybrid_are_mixed() {
        DiagnosticCharacter bark = Sheets.character("bark")
                .states("x", "y")
                .in("a", 0.8, 0.2)
                .in("b", 0.4, 0.6)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), bark);

        assertEquals(0.6, ((StateProfile) sheet.profile(bark, "h")).frequency("x"), EXACT);
    }

    @Test
    void nothing_read_leaves_ancestry_even_and_the_index_undefined() {
        Ancestry ancestry = ancestry();

        // 0.3 at each end, so that no run without one of them holds 0.90
        assertEquals(0.5, ancestry.mean(), EXACT);
        assertEquals(0, ancestry.low(), EXACT);
        assertEquals(1, ancestry.high(), EXACT);
        assertEquals(0.3, ancestry.pureFirst(), EXACT);
        assertEquals(0.3, ancestry.pureSecond(), EXACT);
        assertThat(ancestry.likelyPure()).isEmpty();
        assertThat(ancestry.index()).isEmpty();
        assertThat(ancestry.mosaic()).isEmpty();
        assertThat(ancestry.mayBeHalf()).isTrue();
    }

    @Test
    void one_reading_draws_ancestry_along_the_mixture() {
        // p(q | x) ∝ prior(q)·(0.99(1−q) + 0.01q): mean = Σ q·p / Σ p
        double weighted = 0;
        double total = 0;
        for (int i = 0; i <= 100; i++) {
            double q = i / 100.0;
            double p = (i == 0 || i == 100 ? 0.3 : 0.4 / 99) * (0.99 * (1 - q) + 0.01 * q);
            weighted += q * p;
            total += p;
        }

        Ancestry ancestry = ancestry(Sheets.saw("bark", "x"));

        assertEquals(weighted / total, ancestry.mean(), EXACT);
        assertEquals(0.3 * 0.99 / total, ancestry.pureFirst(), EXACT);
        assertEquals(0.3 * 0.01 / total, ancestry.pureSecond(), EXACT);
    }

    @Test
    void much_that_is_all_of_one_parent_leaves_that_parent_alone_in_the_interval() {
        Ancestry ancestry = ancestry(Sheets.saw("bark", "x", "x", "x", "x"), Sheets.saw("leaf", "x", "x", "x", "x"));

        assertEquals(0, ancestry.low(), EXACT);
        assertThat(ancestry.high()).isLessThan(0.5);
        assertThat(ancestry.pureFirst()).isGreaterThan(0.5);
        assertThat(ancestry.likelyPure()).contains("a");
        assertThat(ancestry.mayBeHalf()).isFalse();
    }

    @Test
    void the_index_is_the_lean_of_the_readings_and_the_mosaic_their_disagreement() {
        // bark like a: h = 0.01; leaf like b: h = 0.99; equal worth, so HI = 0.5 and
        // mosaic = 0.49²/0.25 = 0.9604: a patchwork
        Ancestry ancestry = ancestry(Sheets.saw("bark", "x"), Sheets.saw("leaf", "y"));

        assertEquals(0.5, ancestry.index().orElseThrow(), EXACT);
        assertEquals(0.49 * 0.49 / 0.25, ancestry.mosaic().orElseThrow(), EXACT);
    }

    @Test
    void readings_that_agree_are_no_mosaic() {
        Ancestry ancestry = ancestry(Sheets.saw("bark", "x"), Sheets.saw("leaf", "x"));

        assertEquals(0.01, ancestry.index().orElseThrow(), EXACT);
        assertEquals(0, ancestry.mosaic().orElseThrow(), EXACT);
    }

    @Test
    void readings_count_by_weight_and_by_how_well_their_character_parts_the_parents() {
        // bark parts them fully at half weight: JS of (0.99, 0.01) and (0.01, 0.99) is 1 − H(0.01), h = 0.01;
        // leaf parts them less: masses (0.696, 0.304) and (0.304, 0.696), JS = 1 − H(0.304), h(y) = 0.696
        GroupSheet sheet = Sheets.sheet(
                Sheets.pairWithHybrid(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .weight(0.5)
                        .build(),
                Sheets.character("leaf")
                        .states("x", "y")
                        .in("a", 0.7, 0.3)
                        .in("b", 0.3, 0.7)
                        .build());
        double bark = 0.5 * (1 - entropy(0.01));
        double leaf = 1 - entropy(0.304);
        double index = (bark * 0.01 + leaf * 0.696) / (bark + leaf);
        double spread =
                (bark * (0.01 - index) * (0.01 - index) + leaf * (0.696 - index) * (0.696 - index)) / (bark + leaf);

        Ancestry ancestry = ancestry(sheet, Sheets.saw("bark", "x"), Sheets.saw("leaf", "y"));

        assertEquals(index, ancestry.index().orElseThrow(), 1e-9);
        assertEquals(spread / (index * (1 - index)), ancestry.mosaic().orElseThrow(), 1e-9);
    }

    private static double entropy(double p) {
        return -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }

    private static Ancestry ancestry(Observation... observations) {
        return ancestry(Sheets.sheet(Sheets.pairWithHybrid(), sharp("bark"), sharp("leaf")), observations);
    }

    private static Ancestry ancestry(GroupSheet sheet, Observation... observations) {
        Balance balance = Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, Sheets.wildInJune(), List.of(observations)),
                        Optional.empty())
                .featuresAlone();
        return Ancestry.of(balance, sheet.taxa().get(2));
    }

    private static DiagnosticCharacter sharp(String id) {
        return Sheets.character(id).states("x", "y").in("a", 1, 0).in("b", 0, 1).build();
    }
}
