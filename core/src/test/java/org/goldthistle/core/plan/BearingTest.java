package org.goldthistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.Bearing;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.Test;

/** What a tree may not bear: section 10. */
class BearingTest {
    private static final double EXACT = 1e-12;
    private static final Context JUNE = Sheets.wildInJune();

    @Test
    void what_few_trees_bear_promises_less_and_costs_the_same() {
        NextCheck always =
                offered(Sheets.sheet(Sheets.pair(), sharp("cone", 1))).get(0);
        NextCheck seldom =
                offered(Sheets.sheet(Sheets.pair(), sharp("cone", 0.25))).get(0);

        assertThat(seldom.gain()).isCloseTo(0.25 * always.gain(), within(EXACT));
        assertThat(seldom.chanceToSettle()).isCloseTo(0.25 * always.chanceToSettle(), within(EXACT));
        assertThat(seldom.cost()).isEqualTo(always.cost());
    }

    @Test
    void what_no_tree_of_the_stage_bears_is_not_offered_but_counts_when_it_was_read() {
        GroupSheet never = Sheets.sheet(Sheets.pair(), sharp("cone", 0), sharp("scale", 1));
        GroupSheet plain = Sheets.sheet(Sheets.pair(), sharp("cone", 1), sharp("scale", 1));

        assertThat(ids(offered(never))).containsExactly("scale");
        assertThat(posterior(never, Sheets.saw("cone", "x"))).isEqualTo(posterior(plain, Sheets.saw("cone", "x")));
    }

    @Test
    void a_tree_without_cones_closes_all_that_is_read_from_them_in_that_month_alone() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                sharp("cone", 0.9),
                sharp("scale", 0.9),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build(),
                Sheets.character("twig")
                        .organ(Organ.TWIG, Zone.HAND)
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());
        NotSeen noCones = new NotSeen("cone", OptionalInt.empty(), true);

        assertThat(ids(offered(sheet, noCones))).containsExactly("bark", "twig");
        assertThat(ids(offered(sheet, new NotSeen("cone")))).containsExactlyInAnyOrder("scale", "bark", "twig");
        assertThat(ids(offered(sheet, new NotSeen("cone", OptionalInt.of(5), true))))
                .containsExactlyInAnyOrder("cone", "scale", "bark", "twig");
        assertThat(ids(offered(sheet, new NotSeen("bark", OptionalInt.empty(), true))))
                .as("a tree has bark: only that look at it is closed")
                .containsExactlyInAnyOrder("cone", "scale", "twig");
        assertThat(ids(offered(sheet, noCones, Sheets.saw("cone", "x"))))
                .as("a later entry takes it back")
                .containsExactlyInAnyOrder("scale", "bark", "twig");
    }

    @Test
    void trees_bear_all_of_an_organ_or_less_of_it_but_never_by_chance_of_each_character() {
        // alone, either settles a tree; all trees that bear cones have both
        GroupSheet both = Sheets.sheet(Sheets.pair(), sharp("cone", 0.5), sharp("scale", 0.5));

        double settled = SeasonOutlook.of(balance(both), JUNE, terms(Unseen.NOTHING), 3)
                .months()
                .get(5)
                .chanceToSettle();

        assertThat(settled).isCloseTo(0.5, within(0.08)); // three standard errors; independent ones would give 0.75
    }

    @Test
    void bearing_always_is_as_if_nothing_was_said() {
        Separability said = separability(Sheets.sheet(Sheets.pair(), sharp("cone", 1), sharp("scale", 1)));
        Separability unsaid = separability(Sheets.sheet(Sheets.pair(), unsaid("cone"), unsaid("scale")));

        assertThat(said).isEqualTo(unsaid);
    }

    @Test
    void nobody_walks_again_for_what_the_trees_do_not_bear() {
        GroupModel model = GroupModel.of(Sheets.sheet(Sheets.pair(), sharp("cone", 0), sharp("scale", 0.5)));

        DecisiveSet set = DecisiveSet.of(model, JUNE, Optional.empty(), Harm.SAMPLE, 0, 1, 0.95);

        assertThat(set.characters()).extracting(one -> one.id()).containsExactly("scale");
    }

    @Test
    void shares_outside_0_to_1_are_refused() {
        assertThatThrownBy(() -> new Bearing(Map.of(LifeStage.POLE, 1.2)))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("pole");
    }

    private static Separability separability(GroupSheet sheet) {
        return Separability.of(GroupModel.of(sheet), LifeStage.MATURE, terms(Unseen.NOTHING), 1);
    }

    private static DiagnosticCharacter sharp(String id, double borne) {
        return cone(id).borne(borne).build();
    }

    private static DiagnosticCharacter unsaid(String id) {
        return cone(id).build();
    }

    private static Sheets.CharacterBuilder cone(String id) {
        return Sheets.character(id)
                .organ(Organ.CONE, Zone.HAND)
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1);
    }

    private static List<NextCheck> offered(GroupSheet sheet, Observation... seen) {
        Evidence evidence = Evidence.of(sheet, JUNE, List.of(seen));
        var balance =
                Weighing.of(GroupModel.of(sheet), evidence, Optional.empty()).featuresAlone();
        return NextChecks.offered(balance, JUNE, terms(evidence.unseen()));
    }

    private static PlanTerms terms(Unseen unseen) {
        return new PlanTerms(0.95, Optional.empty(), Harm.SAMPLE, false, unseen, Set.of());
    }

    private static Balance balance(GroupSheet sheet, Observation... seen) {
        return Weighing.of(GroupModel.of(sheet), Evidence.of(sheet, JUNE, List.of(seen)), Optional.empty())
                .featuresAlone();
    }

    private static double posterior(GroupSheet sheet, Observation seen) {
        return balance(sheet, seen).posterior(0);
    }

    private static List<String> ids(List<NextCheck> checks) {
        return checks.stream().map(check -> check.character().id()).toList();
    }
}
