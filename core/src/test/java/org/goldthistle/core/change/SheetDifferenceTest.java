package org.goldthistle.core.change;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.goldthistle.core.RandomSheets;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.Sheets.CharacterBuilder;
import org.goldthistle.core.sheet.Caution;
import org.goldthistle.core.sheet.CautionTopic;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Drawing;
import org.goldthistle.core.sheet.Effort;
import org.goldthistle.core.sheet.GateItem;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Sense;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SheetDifferenceTest {
    @RepeatedTest(30)
    void equal_sheets_have_no_change_and_others_have_some(RepetitionInfo run) {
        GroupSheet one = RandomSheets.sheet(new Random(run.getCurrentRepetition()), 3, 4);
        GroupSheet same = RandomSheets.sheet(new Random(run.getCurrentRepetition()), 3, 4);
        GroupSheet other = RandomSheets.sheet(new Random(1000 + run.getCurrentRepetition()), 3, 4);

        assertThat(SheetDifference.between(one, same)).isEmpty();
        assertThat(SheetDifference.between(one, other)).isNotEmpty();
    }

    @Test
    void frequencies_are_told_state_by_state() {
        assertThat(told(bark().in("a", 0.6, 0.4), bark().in("a", 0.555, 0.445)))
                .containsExactly(
                        "the bark: share of test a, state rough: [0.6] → [0.555]",
                        "the bark: share of test a, state smooth: [0.4] → [0.445]");
    }

    @Test
    void ranges_are_told_by_their_four_limits() {
        CharacterBuilder was = Sheets.character("leaf").numbers(Measure.LENGTH).range("a", 6, 8, 12, 15);
        CharacterBuilder is = Sheets.character("leaf").numbers(Measure.LENGTH).range("a", 6, 8.5, 12, 15);

        assertThat(told(was.range("b", 1, 2, 3, 4), is.range("b", 1, 2, 3, 4)))
                .containsExactly("the leaf: profile of test a: [6.0, 8.0, 12.0, 15.0] → [6.0, 8.5, 12.0, 15.0]");
    }

    @Test
    void trust_and_effort_are_told_by_codes_and_figures() {
        Trust trust = new Trust(
                0.5,
                Map.of(School.FIELD_MARKS, 0.7),
                Set.of(3, 4, 5, 10),
                Map.of(LifeStage.SAPLING, 0.1, LifeStage.POLE, 0.5),
                Map.of(),
                Map.of());

        assertThat(told(
                        bark().in("a", 1, 0),
                        bark().in("a", 1, 0)
                                .trust(trust)
                                .organ(Organ.BARK, Zone.TRUNK)
                                .cluster("hairs")
                                .effort(new Effort(2, Harm.WOUND, List.of(), Sense.TOUCH, true))))
                .containsExactly(
                        "the bark: organ: [leaf] → [bark]",
                        "the bark: station: [hand] → [trunk]",
                        "the bark: weight: [1.0] → [0.5]",
                        "the bark: schools: [] → [field-marks][0.7]",
                        "the bark: months: [1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0, 9.0, 10.0, 11.0, 12.0]"
                                + " → [3.0, 4.0, 5.0, 10.0]",
                        "the bark: stages: [] → [sapling, pole][0.1, 0.5]",
                        "the bark: cluster: nothing → [hairs]",
                        "the bark: minutes: [1.0] → [2.0]",
                        "the bark: harm: [none] → [wound]",
                        "the bark: sense: [sight] → [touch]",
                        "the bark: faculty: nothing → [red-green]");
    }

    @Test
    void what_was_added_left_out_or_moved_is_told_by_name() {
        DiagnosticCharacter bark = bark().in("a", 1, 0).in("b", 0, 1).build();
        DiagnosticCharacter bud = Sheets.character("bud")
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .build();
        DiagnosticCharacter leaf = Sheets.character("leaf")
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .build();

        assertThat(SheetDifference.between(
                        Sheets.sheet(Sheets.pair(), bark, bud), Sheets.sheet(Sheets.pair(), leaf, bud, bark)))
                .extracting(SheetDifferenceTest::line)
                .containsExactly("the leaf: whole: nothing → [the leaf]", ": order: [bark, bud] → [bud, bark]");
        assertThat(SheetDifference.between(Sheets.sheet(Sheets.pair(), bark, bud), Sheets.sheet(Sheets.pair(), bud)))
                .extracting(SheetDifferenceTest::line)
                .containsExactly("the bark: whole: [the bark] → nothing");
    }

    @Test
    void a_short_name_that_is_given_or_changed_is_told() {
        CharacterBuilder named = bark().shortName("Bark").in("a", 1, 0);

        assertThat(told(bark().in("a", 1, 0), named)).containsExactly("the bark: short-name: nothing → [Bark]");
        assertThat(told(named, bark().shortName("Rind").in("a", 1, 0)))
                .containsExactly("the bark: short-name: [Bark] → [Rind]");
    }

    @Test
    void drawings_of_the_gate_are_told() {
        GroupSheet plain = Sheets.sheet(Sheets.pair(), bark().in("a", 1, 0).build());
        Optional<Drawing> pairs = Optional.of(new Drawing("arrangement", Map.of("arrangement", "opposite")));

        assertThat(SheetDifference.between(gated(plain, Optional.empty()), gated(plain, pairs)))
                .extracting(SheetDifferenceTest::line)
                .containsExactly("leaves singly: drawing-otherwise: nothing → arrangement {arrangement=opposite}");
    }

    private static GroupSheet gated(GroupSheet sheet, Optional<Drawing> otherwise) {
        return Sheets.gated(
                sheet,
                new GateItem(
                        "singly",
                        "leaves singly",
                        Organ.LEAF,
                        Zone.HAND,
                        "look",
                        "another group",
                        Optional.empty(),
                        Optional.empty(),
                        otherwise));
    }

    @Test
    void a_hybrid_that_gains_a_profile_was_derived_before() {
        GroupSheet derived = Sheets.sheet(
                Sheets.pairWithHybrid(), bark().in("a", 1, 0).in("b", 0, 1).build());
        GroupSheet given = Sheets.sheet(
                Sheets.pairWithHybrid(),
                bark().in("a", 1, 0).in("b", 0, 1).in("h", 0.5, 0.5).build());

        assertThat(SheetDifference.between(derived, given))
                .extracting(SheetDifferenceTest::line)
                .containsExactly("the bark: profile of hybrid h: nothing → [state rough, state smooth][0.5, 0.5]");
    }

    @Test
    void how_common_a_taxon_is_and_where() {
        DiagnosticCharacter bark = bark().in("a", 1, 0).in("b", 0, 1).build();
        GroupSheet was = Sheets.sheet(Sheets.pair(), bark);
        GroupSheet is =
                Sheets.sheet(List.of(Sheets.taxon("a", 60, Map.of(Habitat.WET, 2.0)), Sheets.taxon("b", 40)), bark);

        assertThat(SheetDifference.between(was, is))
                .extracting(SheetDifferenceTest::line)
                .contains("test a: of-wild: [50.0] → [60.0]", "test a: habitat: [] → [wet][2.0]");
    }

    @Test
    void cautions_are_told_by_topic_and_their_order_where_nothing_else_is_different() {
        GroupSheet plain = Sheets.sheet(Sheets.pair(), bark().in("a", 1, 0).build());
        Caution thorns = new Caution(CautionTopic.THORNS, "look out");
        Caution sap = new Caution(CautionTopic.SAP, "it burns");

        assertThat(SheetDifference.between(cautioned(plain, thorns), cautioned(plain, sap, thorns)))
                .extracting(SheetDifferenceTest::line)
                .containsExactly(": cautions of sap: nothing → [it burns]");
        assertThat(SheetDifference.between(cautioned(plain, thorns, sap), cautioned(plain, sap, thorns)))
                .extracting(SheetDifferenceTest::line)
                .containsExactly(": order: [thorns, sap] → [sap, thorns]");
    }

    private static GroupSheet cautioned(GroupSheet sheet, Caution... cautions) {
        return new GroupSheet(
                sheet.id(),
                sheet.title(),
                sheet.shortName(),
                sheet.region(),
                sheet.why(),
                sheet.taxa(),
                sheet.fallback(),
                sheet.firstLook(),
                sheet.gate(),
                sheet.characters(),
                sheet.indices(),
                List.of(cautions),
                sheet.sources());
    }

    private static CharacterBuilder bark() {
        return Sheets.character("bark").ordered("rough", "smooth").in("b", 0, 1);
    }

    private static List<String> told(CharacterBuilder before, CharacterBuilder after) {
        return SheetDifference.between(
                        Sheets.sheet(Sheets.pair(), before.build()), Sheets.sheet(Sheets.pair(), after.build()))
                .stream()
                .map(SheetDifferenceTest::line)
                .toList();
    }

    private static String line(SheetChange change) {
        String of = change.of().isEmpty() ? "" : " of " + String.join(", ", change.of());
        return change.name() + ": " + change.aspect().code() + of + ": " + spelt(change.before()) + " → "
                + spelt(change.after());
    }

    private static String spelt(Optional<Stated> stated) {
        return stated.map(one -> one.drawing()
                        .map(drawing -> drawing.part() + " " + drawing.parameters())
                        .orElseGet(() -> one.texts().isEmpty()
                                ? one.numbers().toString()
                                : one.texts()
                                        + (one.numbers().isEmpty()
                                                ? ""
                                                : one.numbers().toString())))
                .orElse("nothing");
    }
}
