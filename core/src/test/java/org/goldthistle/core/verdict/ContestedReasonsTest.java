package org.goldthistle.core.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.goldthistle.core.verdict.Assessed.assess;
import static org.goldthistle.core.verdict.Assessed.clear;
import static org.goldthistle.core.verdict.Assessed.codesOf;
import static org.goldthistle.core.verdict.Assessed.fair;
import static org.goldthistle.core.verdict.Assessed.withIndex;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.Test;

/** Section 8: every reason to contest a call, each on a tree small enough to follow by hand. */
class ContestedReasonsTest {
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
    void strange_readings_are_told_as_none_of_these_surprise_and_strong_contrary() {
        var taxa = Sheets.pair();
        DiagnosticCharacter[] characters = new DiagnosticCharacter[6];
        Observation[] odd = new Observation[6];
        for (int c = 0; c < 6; c++) {
            // both taxa nearly always show x, and the tree shows y
            characters[c] = Sheets.character("c" + c)
                    .states("x", "y")
                    .in("a", 0.99, 0.01)
                    .in("b", 0.97, 0.03)
                    .build();
            odd[c] = Sheets.saw("c" + c, "y");
        }
        GroupSheet strange = Sheets.sheet(taxa, characters);
        GroupSheet torn = Sheets.sheet(
                taxa,
                clear("bark", Organ.BARK, Zone.TRUNK),
                clear("twig", Organ.TWIG, Zone.HAND),
                clear("leaf", Organ.LEAF, Zone.LENS));

        List<String> reasons = codesOf(assess(strange, Tier.RECORD, odd).reasons());
        List<String> contrary = codesOf(
                assess(torn, Tier.TALLY, Sheets.saw("bark", "x"), Sheets.saw("twig", "x"), Sheets.saw("leaf", "y"))
                        .reasons());

        assertThat(reasons).contains("none-of-these", "surprise");
        assertThat(contrary).contains("strong-contrary");
    }

    @Test
    void rules_that_speak_for_different_taxa_are_told() {
        // a giveaway for a of 16.9 points, outweighed by three fair organs for b of 6.5 each
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                clear("bark", Organ.BARK, Zone.TRUNK),
                fair("twig", Organ.TWIG),
                fair("leaf", Organ.LEAF),
                fair("bud", Organ.BUD),
                fair("fruit", Organ.FRUIT));
        Assessment assessment = assess(
                sheet,
                Tier.TALLY,
                Sheets.saw("bark", "x"),
                Sheets.saw("twig", "y"),
                Sheets.saw("leaf", "y"),
                Sheets.saw("bud", "y"),
                Sheets.saw("fruit", "y"));

        assertThat(assessment.lead().id()).isEqualTo("b");
        assertThat(assessment.rules().giveaway()).map(Taxon::id).contains("a");
        assertThat(assessment.rules().balance()).isEmpty();
        assertThat(assessment.rules().differ()).isFalse(); // one voice alone
        assertThat(new Rules(assessment.rules().giveaway(), Optional.empty(), Optional.of(assessment.lead())).differ())
                .isTrue();
        assertThat(Rules.organPoints(assessment.deciding()))
                .containsOnlyKeys(Organ.BARK, Organ.TWIG, Organ.LEAF, Organ.BUD, Organ.FRUIT);
        assertEquals(
                10 * Math.log10(0.794 / 0.206),
                Rules.organPoints(assessment.deciding()).get(Organ.BUD),
                1e-9);
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
}
