package org.goldthistle.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.DiscriminantIndex;
import org.goldthistle.core.sheet.Fallback;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.Test;

/** Sections 6 to 9, each rule on a tree small enough to follow by hand. */
class VerdictTest {
    private static final double EXACT = 1e-12;

    // one reading of x: p' = 0.98·p + 0.01, so 0.99 against 0.01 is 10·log10(0.9802/0.0198) = 16.9 points
    private static final GroupSheet SHARP = Sheets.sheet(
            Sheets.pair(),
            clear("bark", Organ.BARK, Zone.TRUNK),
            clear("twig", Organ.TWIG, Zone.HAND),
            clear("leaf", Organ.LEAF, Zone.LENS));

    @Test
    void one_clear_organ_is_enough_for_a_tally() {
        Assessment assessment = assess(SHARP, Tier.TALLY, Sheets.saw("bark", "x"));

        assertThat(assessment.verdict()).isEqualTo(Verdict.SIGNABLE);
        assertThat(assessment.recommended(1).code()).isEqualTo("a");
        assertThat(assessment.stillNeeded()).isEmpty();
    }

    @Test
    void a_record_wants_two_organs_and_a_photo() {
        Assessment one = assess(SHARP, Tier.RECORD, Sheets.saw("bark", "x"));
        Assessment two = assess(SHARP, Tier.RECORD, Sheets.saw("bark", "x"), Sheets.saw("twig", "x"));

        assertThat(codes(one.stillNeeded())).containsExactly("quorum", "photo");
        assertThat(one.verdict()).isEqualTo(Verdict.OPEN);
        assertThat(codes(two.stillNeeded())).containsExactly("photo");
        assertThat(two.verdict()).isEqualTo(Verdict.SIGNABLE);
    }

    @Test
    void when_only_the_quorum_lacks_other_organs_come_first() {
        Assessment assessment = assess(SHARP, Tier.RECORD, Sheets.saw("bark", "x"));

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
        GroupSheet sheet = withGate(SHARP);
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
    void a_likely_hybrid_and_observers_who_differ_are_told() {
        // leaf y at half its weight: b √0.98, h √0.5, a √0.02; the hybrid has 0.38 and does not lead
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), clear("leaf", Organ.LEAF, Zone.HAND, 0.5));
        Evidence evidence = Evidence.of(sheet, Sheets.wildInJune(), List.of(Sheets.saw("leaf", "y")));

        Assessment assessment = Assessment.of(
                GroupModel.of(sheet),
                evidence,
                Terms.of(Tier.RECORD),
                new CallRecord(false, Set.of(), false, Set.of("a", "b")));

        assertThat(codesOf(assessment.reasons())).contains("hybrid", "observers-differ");
    }

    @Test
    void a_school_with_another_lead_is_told() {
        var fieldMark = Sheets.character("bark")
                .organ(Organ.BARK, Zone.TRUNK)
                .states("x", "y")
                .in("a", 0.9, 0.1)
                .in("b", 0.1, 0.9)
                .trust(new Trust(
                        1, Map.of(School.CLOSE_CHARACTERS, 0.1), Sheets.ALL_YEAR, Map.of(), Map.of(), Map.of()))
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), fieldMark, clear("leaf", Organ.LEAF, Zone.LENS, 0.5));

        Assessment assessment = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x"), Sheets.saw("leaf", "y"));

        assertThat(assessment.lead().id()).isEqualTo("a");
        assertThat(codesOf(assessment.reasons()))
                .contains("school:close-characters")
                .doesNotContain("school:field-marks");
    }

    @Test
    void an_index_is_silent_while_undecided_or_unread_and_contests_the_other_lead() {
        GroupSheet sheet = withIndex();

        // 2·length − 20: at 5 it is −10, for b; at 10.5 it is 1, within the undecided 2
        Assessment against = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x"), Sheets.measured("length", 4.0, 6.0));
        Assessment undecided = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x"), Sheets.measured("length", 10.5));
        Assessment unread = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x"), new NotSeen("length"));

        assertThat(against.indexOpinions().get(0).value()).contains(-10.0);
        assertThat(codesOf(against.reasons())).contains("index:function");
        assertThat(undecided.indexOpinions().get(0).speaksFor()).isEmpty();
        assertThat(unread.indexOpinions().get(0).value()).isEmpty();
    }

    @Test
    void surprise_is_the_deviation_from_what_the_lead_would_show() {
        // lead a: s = −ln p'(y) with p' = (0.892, 0.108); e and v its mean and variance
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 0.9, 0.1)
                        .in("b", 0.95, 0.05)
                        .build());
        double s = -Math.log(0.108);
        double e = -0.892 * Math.log(0.892) - 0.108 * Math.log(0.108);
        double v = 0.892 * Math.log(0.892) * Math.log(0.892) + 0.108 * s * s - e * e;

        Assessment assessment = assess(sheet, Tier.RECORD, Sheets.saw("bark", "y"));

        assertThat(assessment.lead().id()).isEqualTo("a");
        assertEquals((s - e) / Math.sqrt(v), assessment.surprise(), 1e-9);
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

    private static Assessment assess(GroupSheet sheet, Tier tier, Observation... observations) {
        return Assessment.of(
                GroupModel.of(sheet),
                Evidence.of(sheet, Sheets.wildInJune(), List.of(observations)),
                new Terms(tier, Optional.empty(), Harm.SAMPLE, Optional.empty()),
                CallRecord.EMPTY);
    }

    private static org.goldthistle.core.sheet.DiagnosticCharacter clear(String id, Organ organ, Zone zone) {
        return clear(id, organ, zone, 1);
    }

    private static org.goldthistle.core.sheet.DiagnosticCharacter clear(
            String id, Organ organ, Zone zone, double weight) {
        return Sheets.character(id)
                .organ(organ, zone)
                .states("x", "y")
                .in("a", 0.99, 0.01)
                .in("b", 0.01, 0.99)
                .weight(weight)
                .build();
    }

    private static GroupSheet withGate(GroupSheet sheet) {
        return new GroupSheet(
                sheet.id(),
                sheet.title(),
                sheet.region(),
                sheet.why(),
                sheet.taxa(),
                sheet.fallback(),
                List.of(new GateItem("paired", "leaves in pairs", Organ.LEAF, Zone.HAND, "look", "another group")),
                sheet.characters(),
                sheet.indices(),
                sheet.cautions(),
                sheet.sources());
    }

    private static GroupSheet withIndex() {
        var function = new DiscriminantIndex(
                "function",
                "function",
                "made up",
                "a",
                "b",
                List.of(new DiscriminantIndex.Term("length", 2)),
                -20,
                2,
                "work it");
        return new GroupSheet(
                "test",
                "Test",
                "nowhere",
                "made up",
                Sheets.pair(),
                new Fallback("T. sp.", "test"),
                List.of(),
                List.of(
                        clear("bark", Organ.BARK, Zone.TRUNK),
                        Sheets.character("length")
                                .numbers(Measure.LENGTH)
                                .range("a", 0, 5, 15, 20)
                                .range("b", 0, 5, 15, 20)
                                .build()),
                List.of(function),
                List.of(),
                List.of("made up"));
    }

    private static List<String> codes(List<Need> needs) {
        return needs.stream().map(Need::code).toList();
    }

    private static List<String> codesOf(List<Reason> reasons) {
        return reasons.stream().map(Reason::code).toList();
    }

    private static List<String> ids(List<WeighedReading> readings) {
        return readings.stream().map(reading -> reading.character().id()).toList();
    }
}
