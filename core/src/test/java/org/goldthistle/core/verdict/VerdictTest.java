package org.goldthistle.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.goldthistle.core.verdict.Assessed.assess;
import static org.goldthistle.core.verdict.Assessed.clear;
import static org.goldthistle.core.verdict.Assessed.codes;
import static org.goldthistle.core.verdict.Assessed.codesOf;
import static org.goldthistle.core.verdict.Assessed.ids;
import static org.goldthistle.core.verdict.Assessed.withGate;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.Test;

/** Sections 6 to 9, each rule on a tree small enough to follow by hand. */
class VerdictTest {
    private static final double EXACT = 1e-12;

    @Test
    void one_clear_organ_is_enough_for_a_tally() {
        Assessment assessment = assess(Assessed.SHARP, Tier.TALLY, Sheets.saw("bark", "x"));

        assertThat(assessment.verdict()).isEqualTo(Verdict.SIGNABLE);
        assertThat(assessment.recommended(1).code()).isEqualTo("a");
        assertThat(assessment.stillNeeded()).isEmpty();
    }

    @Test
    void a_record_wants_two_organs_and_a_photo() {
        Assessment one = assess(Assessed.SHARP, Tier.RECORD, Sheets.saw("bark", "x"));
        Assessment two = assess(Assessed.SHARP, Tier.RECORD, Sheets.saw("bark", "x"), Sheets.saw("twig", "x"));

        assertThat(codes(one.stillNeeded())).containsExactly("quorum", "photo");
        assertThat(one.verdict()).isEqualTo(Verdict.OPEN);
        assertThat(codes(two.stillNeeded())).containsExactly("photo");
        assertThat(two.verdict()).isEqualTo(Verdict.SIGNABLE);
    }

    @Test
    void when_only_the_quorum_lacks_other_organs_come_first() {
        Assessment assessment = assess(Assessed.SHARP, Tier.RECORD, Sheets.saw("bark", "x"));

        assertThat(assessment.offered()).allMatch(check -> check.comesFirst());
    }

    @Test
    void control_wants_three_organs_reasons_and_a_second_observer() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                clear("bark", Organ.BARK, Zone.TRUNK),
                clear("twig", Organ.TWIG, Zone.HAND),
                clear("leaf", Organ.LEAF, Zone.LENS),
                clear("bark-colour", Organ.BARK, Zone.TRUNK),
                Sheets.character("bark-feel")
                        .organ(Organ.BARK, Zone.TRUNK)
                        .states("x", "y")
                        .in("a", 0.22, 0.78) // x speaks 5.4 points against a
                        .in("b", 0.78, 0.22)
                        .build());
        Observation[] readings = {
            Sheets.saw("bark", "x"),
            Sheets.saw("bark-colour", "x"),
            Sheets.saw("twig", "x"),
            Sheets.saw("leaf", "x"),
            Sheets.saw("bark-feel", "x")
        };

        Assessment bare = assess(sheet, Tier.CONTROL, readings);
        Assessment kept = Assessment.of(
                GroupModel.of(sheet),
                Evidence.of(sheet, Sheets.wildInJune(), List.of(readings)),
                Terms.of(Tier.CONTROL),
                new CallRecord(true, Set.of("bark-feel"), true, Set.of("a")));

        assertThat(codes(bare.stillNeeded())).containsExactly("reason:bark-feel", "second-observer");
        assertThat(bare.verdict()).isEqualTo(Verdict.SIGNABLE); // what is missing is on the record, not the evidence
        assertThat(kept.stillNeeded()).isEmpty();
    }

    @Test
    void control_wants_something_read_close_up() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                clear("bark", Organ.BARK, Zone.TRUNK),
                clear("crown", Organ.HABIT, Zone.STAND_OFF),
                clear("buds", Organ.BUD, Zone.STAND_OFF));

        Assessment assessment =
                assess(sheet, Tier.CONTROL, Sheets.saw("bark", "x"), Sheets.saw("crown", "x"), Sheets.saw("buds", "x"));

        assertThat(codes(assessment.stillNeeded())).contains("zone");
    }

    @Test
    void a_tally_must_not_rest_on_the_surroundings_alone() {
        GroupSheet sheet = Sheets.sheet(
                List.of(Sheets.taxon("a", 97), Sheets.taxon("b", 3)),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 0.5, 0.5)
                        .in("b", 0.45, 0.55)
                        .build());

        Assessment assessment = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x"));

        assertThat(assessment.withSurroundings().posterior(0)).isGreaterThan(0.9);
        assertThat(codes(assessment.stillNeeded())).containsExactly("features-alone");
    }

    @Test
    void nothing_read_is_nothing_to_sign() {
        GroupSheet sheet = Sheets.sheet(
                List.of(Sheets.taxon("a", 97), Sheets.taxon("b", 3)), clear("bark", Organ.BARK, Zone.TRUNK));

        Assessment assessment = assess(sheet, Tier.TALLY);

        assertThat(codes(assessment.stillNeeded())).contains("reading");
        assertThat(assessment.verdict()).isEqualTo(Verdict.OPEN);
    }

    @Test
    void a_tally_of_a_hybrid_is_a_record() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pairWithHybrid(),
                Sheets.character("bark")
                        .states("x", "y", "z")
                        .in("a", 1, 0, 0)
                        .in("b", 0, 1, 0)
                        .in("h", 0, 0, 1)
                        .build());

        assertThat(assess(sheet, Tier.TALLY, Sheets.saw("bark", "z")).tier()).isEqualTo(Tier.RECORD);
        assertThat(assess(sheet, Tier.TALLY, Sheets.saw("bark", "x")).tier()).isEqualTo(Tier.TALLY);
    }

    @Test
    void costs_set_the_threshold_but_never_below_the_tier_s_where_more_is_at_stake() {
        // nine times as bad to name wrongly: 0.9; as bad either way: 0.5
        assertEquals(0.9, new Costs(9, 1).threshold(Tier.TALLY), EXACT);
        assertEquals(0.5, new Costs(1, 1).threshold(Tier.TALLY), EXACT);
        assertEquals(0.95, new Costs(1, 1).threshold(Tier.RECORD), EXACT);
        assertEquals(0.995, new Costs(199, 1).threshold(Tier.CONTROL), EXACT);
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> new Costs(0, Double.NaN))
                .satisfies(refused -> assertThat(refused.refusals()).hasSize(2));
    }

    @Test
    void a_failed_gate_overrules_the_balance() {
        GroupSheet sheet = withGate(Assessed.SHARP);
        Assessment assessment = Assessment.of(
                GroupModel.of(sheet),
                Evidence.of(
                        sheet,
                        Sheets.wildInJune(),
                        List.of(Sheets.saw("bark", "x")),
                        List.of(new GateMark("paired", false))),
                Terms.of(Tier.TALLY),
                CallRecord.EMPTY);

        assertThat(assessment.verdict()).isEqualTo(Verdict.UNSETTLED);
        assertThat(codesOf(assessment.reasons())).containsExactly("gate:paired", "unsettled");
        assertThat(assessment.recommended(1).code()).isEqualTo("not-this-group");
    }

    @Test
    void a_giveaway_speaks_alone_and_is_silenced_by_a_strong_contradiction() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                clear("bark", Organ.BARK, Zone.TRUNK),
                Sheets.character("leaf")
                        .states("x", "y")
                        .in("a", 0.1, 0.9)
                        .in("b", 0.9, 0.1)
                        .build());

        // leaf x: 10·log10(0.892/0.108) = 9.2 points against a, beyond the 7 that silence
        Rules alone = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x")).rules();
        Rules contradicted = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x"), Sheets.saw("leaf", "x"))
                .rules();
        Rules doubted = assess(sheet, Tier.TALLY, Sheets.saw(Certainty.FAIRLY, "bark", "x"))
                .rules();

        assertThat(alone.giveaway()).map(Taxon::id).contains("a");
        assertThat(contradicted.giveaway()).isEmpty();
        assertThat(doubted.giveaway()).isEmpty();
    }

    @Test
    void an_organ_against_breaks_the_quorum() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                clear("bark", Organ.BARK, Zone.TRUNK),
                clear("twig", Organ.TWIG, Zone.HAND),
                Sheets.character("leaf")
                        .states("x", "y")
                        .in("a", 0.3, 0.7)
                        .in("b", 0.7, 0.3)
                        .build());

        // leaf x: 10·log10(0.304/0.696) = −3.6 points
        Assessment agreed = assess(sheet, Tier.RECORD, Sheets.saw("bark", "x"), Sheets.saw("twig", "x"));
        Assessment opposed =
                assess(sheet, Tier.RECORD, Sheets.saw("bark", "x"), Sheets.saw("twig", "x"), Sheets.saw("leaf", "x"));

        assertThat(agreed.rules().quorum()).map(Taxon::id).contains("a");
        assertThat(opposed.rules().quorum()).isEmpty();
    }

    @Test
    void points_short_are_what_the_odds_lack() {
        // posterior 0.97 of p* 0.95 has points to spare; nothing read has odds 0.49 to 0.51
        Assessment none = assess(Assessed.SHARP, Tier.RECORD);

        assertEquals(10 * Math.log10(0.95 / 0.05) - 10 * Math.log10(0.49 / 0.51), none.pointsShort(), 1e-9);
        assertThat(assess(Assessed.SHARP, Tier.RECORD, Sheets.saw("bark", "x")).pointsShort())
                .isNegative();
    }

    @Test
    void confirming_pivotal_and_contrary_readings() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                clear("bark", Organ.BARK, Zone.TRUNK),
                Sheets.character("twig")
                        .states("x", "y")
                        .in("a", 0.6, 0.4)
                        .in("b", 0.4, 0.6)
                        .build(),
                Sheets.character("leaf")
                        .states("x", "y")
                        .in("a", 0.4, 0.6)
                        .in("b", 0.6, 0.4)
                        .build());

        Confirmation confirmation = assess(
                        sheet, Tier.TALLY, Sheets.saw("twig", "x"), Sheets.saw("leaf", "x"), Sheets.saw("bark", "x"))
                .confirmation();

        assertThat(ids(confirmation.confirming())).containsExactly("bark"); // 17 points; 10 are asked for
        assertThat(ids(confirmation.pivotal())).containsExactly("bark");
        assertThat(ids(confirmation.contrary())).containsExactly("leaf");
        assertThat(confirmation.exact()).isTrue();
    }

    @Test
    void an_unlikely_pair_that_may_be_crossed_goes_to_the_laboratory_and_else_to_the_fallback() {
        var weak = Sheets.character("leaf")
                .states("x", "y")
                .in("a", 0.6, 0.4)
                .in("b", 0.4, 0.6)
                .in("h", 0.5, 0.5);
        GroupSheet crossed = Sheets.sheet(Sheets.pairWithHybrid(), weak.build());
        GroupSheet apart = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("leaf")
                        .states("x", "y")
                        .in("a", 0.6, 0.4)
                        .in("b", 0.4, 0.6)
                        .build());

        assertThat(assess(crossed, Tier.RECORD, Sheets.saw("leaf", "x"))
                        .recommended(1)
                        .code())
                .isEqualTo("laboratory");
        assertThat(assess(apart, Tier.RECORD, Sheets.saw("leaf", "x"))
                        .recommended(1)
                        .code())
                .isEqualTo("fallback");
    }

    @Test
    void what_shows_in_another_month_is_worth_coming_back_for() {
        var flowers = Sheets.character("flower")
                .organ(Organ.FLOWER, Zone.HAND)
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .trust(new Trust(1, Map.of(), Set.of(4, 5), Map.of(), Map.of(), Map.of()))
                .replication(3, 0)
                .build();
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                flowers,
                Sheets.character("leaf")
                        .states("x", "y")
                        .in("a", 0.6, 0.4)
                        .in("b", 0.4, 0.6)
                        .build());

        Assessment inJune = assess(sheet, Tier.RECORD, Sheets.saw("leaf", "x"));

        assertThat(inJune.verdict()).isEqualTo(Verdict.UNSETTLED);
        assertThat(inJune.recommended(1).code()).isEqualTo("come-back:4");
    }
}
