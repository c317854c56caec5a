package org.goldthistle.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.goldthistle.core.verdict.Assessed.assess;

import java.util.List;
import java.util.OptionalDouble;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.Test;

/** What a tier asks for and how far it is met, and what each reading does to that. */
class ConditionsTest {
    private static final double EXACT = 1e-9;

    @Test
    void every_condition_of_a_tier_is_there_met_or_not() {
        assertThat(codes(assess(Assessed.SHARP, Tier.TALLY))).containsExactly("reading", "threshold", "features-alone");
        assertThat(codes(assess(Assessed.SHARP, Tier.RECORD)))
                .containsExactly("reading", "threshold", "surroundings", "quorum", "same-lead", "photo");
        assertThat(codes(assess(Assessed.SHARP, Tier.CONTROL)))
                .containsExactly(
                        "reading", "threshold", "surroundings", "quorum", "zone", "same-lead", "second-observer");
        GroupSheet gated = Assessed.withGate(Assessed.SHARP);
        assertThat(codes(assess(gated, Tier.TALLY))).doesNotContain("gate");
        assertThat(codes(assess(gated, Tier.RECORD))).containsSubsequence("same-lead", "gate", "photo");
        assertThat(codes(assess(gated, Tier.CONTROL))).containsSubsequence("same-lead", "gate", "second-observer");
    }

    @Test
    void a_scarce_taxon_needs_more_on_record() {
        GroupSheet scarce = Sheets.sheet(
                List.of(Sheets.taxon("a", 98), Sheets.taxon("b", 2)),
                Assessed.clear("bark", Organ.BARK, Zone.TRUNK),
                Assessed.fair("leaf", Organ.LEAF));
        Assessment alike = assess(scarce, Tier.RECORD, Sheets.saw("bark", "y"), Sheets.saw("leaf", "y"));

        assertThat(alike.featuresAlone().posterior(1)).isGreaterThan(0.95);
        assertThat(alike.withSurroundings().posterior(1)).isLessThan(0.95);
        assertThat(Assessed.codes(alike.stillNeeded())).containsExactly("surroundings", "photo");
        assertThat(alike.isSignable()).isFalse();
        assertThat(alike.pointsShort()).isNegative();
        assertThat(alike.pointsToGo()).isPositive();
    }

    @Test
    void a_record_wants_every_item_of_the_gate_marked_as_fitting() {
        GroupSheet gated = Assessed.withGate(Assessed.SHARP);
        List<Observation> seen = List.of(Sheets.saw("bark", "x"), Sheets.saw("leaf", "x"));

        Assessment unmarked = gated(gated, seen, List.of());
        Assessment marked = gated(gated, seen, List.of(new GateMark("paired", true)));
        Assessment failed = gated(gated, seen, List.of(new GateMark("paired", false)));

        assertThat(Assessed.codes(unmarked.stillNeeded())).containsExactly("gate", "photo");
        assertThat(unmarked.verdict()).isEqualTo(Verdict.SIGNABLE); // it is a condition on the record
        assertThat(Assessed.codes(marked.stillNeeded())).containsExactly("photo");
        assertThat(Assessed.codes(failed.stillNeeded())).contains("gate");
        assertThat(failed.verdict()).isEqualTo(Verdict.UNSETTLED);
    }

    private static Assessment gated(GroupSheet sheet, List<Observation> seen, List<GateMark> marks) {
        return Assessment.of(
                GroupModel.of(sheet),
                Evidence.of(sheet, Sheets.wildInJune(), seen, marks),
                Terms.of(Tier.RECORD),
                CallRecord.EMPTY);
    }

    private static List<String> codes(Assessment assessment) {
        return assessment.conditions().stream().map(one -> one.need().code()).toList();
    }

    @Test
    void shares_and_organs_say_what_is_asked_and_what_is_there() {
        Assessment assessment = assess(Assessed.SHARP, Tier.RECORD, Sheets.saw("bark", "x"));

        Condition share = assessment.conditions().get(1);
        Condition organs = assessment.conditions().get(3);
        assertThat(share.asked()).hasValue(0.95);
        assertThat(share.now()).hasValue(assessment.featuresAlone().posterior(0));
        assertThat(organs.asked()).hasValue(2);
        assertThat(organs.now()).hasValue(1);
        assertThat(assessment.conditions().get(0).asked()).isEqualTo(OptionalDouble.empty());
    }

    @Test
    void the_points_to_go_are_those_of_the_share_that_is_furthest() {
        GroupSheet sheet = Sheets.sheet(
                List.of(Sheets.taxon("a", 97), Sheets.taxon("b", 3)),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 0.5, 0.5)
                        .in("b", 0.45, 0.55)
                        .build());
        Assessment assessment = assess(sheet, Tier.TALLY, Sheets.saw("bark", "x"));
        double alone = assessment.featuresAlone().posterior(0);

        assertThat(assessment.pointsShort()).isNegative(); // the surroundings alone reach the 90 %
        assertThat(assessment.pointsToGo())
                .isCloseTo(10 * Math.log10(0.6 / 0.4 * (1 - alone) / alone), within(EXACT))
                .isPositive();
        assertThat(assessment.pointsAsked()).isCloseTo(10 * Math.log10(9), within(EXACT));
    }

    @Test
    void an_effect_is_the_call_with_the_reading_against_the_call_without_it() {
        Assessment with = assess(
                Assessed.SHARP, Tier.TALLY, Sheets.saw("bark", "x"), Sheets.saw("twig", "y"), Sheets.saw("leaf", "x"));
        Assessment without = assess(Assessed.SHARP, Tier.TALLY, Sheets.saw("bark", "x"), Sheets.saw("twig", "y"));

        Effect leaf = with.effects().get(2);

        assertThat(leaf.character()).isEqualTo("leaf");
        assertThat(leaf.speaksFor().id()).isEqualTo("a");
        assertThat(leaf.points()).isCloseTo(with.deciding().points(2, 0, 1), within(EXACT));
        assertThat(leaf.shortAfter()).isCloseTo(with.pointsShort(), within(EXACT));
        assertThat(leaf.shortBefore()).isCloseTo(without.pointsShort(), within(EXACT));
        assertThat(leaf.isBackwards()).isFalse();
        Effect twig = with.effects().get(1);
        assertThat(twig.speaksFor().id()).isEqualTo("b");
        assertThat(twig.points()).isPositive();
    }

    @Test
    void an_effect_says_who_led_without_the_reading() {
        Assessment assessment = assess(Assessed.SHARP, Tier.TALLY, Sheets.saw("bark", "y"));

        Effect bark = assessment.effects().get(0);

        assertThat(assessment.lead().id()).isEqualTo("b");
        assertThat(bark.changesLead()).isTrue();
        assertThat(bark.leadBefore().id()).isEqualTo("a");
    }

    @Test
    void a_reading_for_the_lead_may_help_a_third_taxon_more() {
        GroupSheet sheet = Sheets.sheet(
                List.of(Sheets.taxon("a", 45), Sheets.taxon("b", 43), Sheets.taxon("c", 12)),
                Sheets.character("film")
                        .states("x", "y")
                        .in("a", 0.5, 0.5)
                        .in("b", 0.45, 0.55)
                        .in("c", 0.99, 0.01)
                        .build());

        Effect film =
                assess(sheet, Tier.TALLY, Sheets.saw("film", "x")).effects().get(0);

        assertThat(film.speaksFor().id()).isEqualTo("a");
        assertThat(film.points()).isPositive();
        assertThat(film.shortAfter()).isGreaterThan(film.shortBefore());
        assertThat(film.isBackwards()).isTrue();
        assertThat(film.gainedMore().orElseThrow().id()).isEqualTo("c");
    }
}
