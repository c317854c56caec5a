package org.goldthistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.Test;

/** Section 10 on checks whose promise can be worked by hand. */
class PlanTest {
    private static final double EXACT = 1e-12;
    private static final PlanTerms RECORD = terms(0.95, Harm.SAMPLE, Map.of());

    @Test
    void gain_is_the_mutual_information_and_settling_its_chance() {
        // m = (0.99, 0.01) and (0.01, 0.99) after the lapse; Q even: 1 bit less the entropy of 0.01
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), sharp("bark").build());
        double entropy = -(0.99 * Math.log(0.99) + 0.01 * Math.log(0.01)) / Math.log(2);

        NextCheck check = NextChecks.offered(nothingRead(sheet), Sheets.wildInJune(), RECORD)
                .get(0);

        assertEquals(1 - entropy, check.gain(), EXACT);
        // either outcome leaves 0.49·0.99/(0.49·1 + 0.02·0.5) = 0.97, so it settles for certain
        assertEquals(1, check.chanceToSettle(), EXACT);
        assertEquals(1, check.cost(), EXACT);
    }

    @Test
    void cost_adds_harm_and_hazards_to_the_minutes() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                sharp("pith").effort(4, Harm.WOUND).build(),
                sharp("leaf").effort(2, Harm.SAMPLE).build());

        List<NextCheck> offered =
                NextChecks.offered(nothingRead(sheet), Sheets.wildInJune(), terms(0.95, Harm.WOUND, Map.of()));

        assertThat(offered).extracting(check -> check.character().id()).containsExactly("leaf", "pith");
        assertEquals(2.5, offered.get(0).cost(), EXACT);
        assertEquals(10, offered.get(1).cost(), EXACT);
    }

    @Test
    void a_wound_is_suggested_only_when_nothing_gentler_will_do() {
        var faint = Sheets.character("leaf")
                .states("x", "y")
                .in("a", 0.55, 0.45)
                .in("b", 0.45, 0.55)
                .build();
        var pith = sharp("pith").effort(4, Harm.WOUND).build();

        assertThat(suggestions(pith, faint)).containsExactlyInAnyOrder("pith", "leaf");
        assertThat(suggestions(pith, sharp("leaf").build())).containsExactly("leaf");
    }

    @Test
    void what_cannot_be_read_now_is_not_offered() {
        var offSeason = sharp("flower")
                .trust(new Trust(1, Map.of(), Set.of(4), Map.of(), Map.of(), Map.of()))
                .build();
        var tooYoung = sharp("cone")
                .trust(new Trust(1, Map.of(), Sheets.ALL_YEAR, Map.of(LifeStage.MATURE, 0.04), Map.of(), Map.of()))
                .build();
        var site = sharp("soil").organ(Organ.SITE, Zone.STAND_OFF).build();
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                offSeason,
                tooYoung,
                site,
                sharp("bark").build(),
                sharp("twig").build());

        List<NextCheck> offered = NextChecks.offered(
                balance(sheet, Sheets.saw("bark", "x")),
                Sheets.wildInJune(),
                terms(0.95, Harm.SAMPLE, Map.of("twig", 6)));

        assertThat(offered).isEmpty();
    }

    @Test
    void the_second_of_a_cluster_promises_less() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                sharp("looks").cluster("down").build(),
                sharp("feels").cluster("down").build());

        double first = gain(nothingRead(sheet), "feels");
        double second = gain(balance(sheet, Sheets.saw("looks", "x")), "feels");

        assertThat(second).isLessThan(first);
    }

    @Test
    void a_month_that_shows_everything_settles_and_a_month_that_shows_nothing_does_not() {
        var flower = Sheets.character("flower")
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .trust(new Trust(1, Map.of(), Set.of(4), Map.of(), Map.of(), Map.of()))
                .replication(5, 0)
                .build();
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), flower);

        SeasonOutlook outlook = SeasonOutlook.of(nothingRead(sheet), Sheets.wildInJune(), RECORD, 7);

        // a tree settles when none of its five flowers is misread, 0.99⁵ = 0.95: one slip leaves none-of-these too
        // likely
        assertEquals(0.951, outlook.months().get(3).chanceToSettle(), 0.04);
        assertThat(outlook.months().get(3).chanceToMislead()).isLessThan(0.01);
        assertThat(outlook.months().get(4).chanceToSettle()).isZero();
        assertThat(outlook.firstAfter(6, 0.5)).map(SeasonOutlook.Month::month).contains(4);
        assertThat(outlook.firstAfter(4, 0.5)).map(SeasonOutlook.Month::month).contains(4); // a year later
    }

    @Test
    void the_outlook_of_one_look_is_its_chance_to_settle() {
        // one check, one replicate: 0.98·0.8 + 0.01 = 0.794 of a's trees show x; x leaves a at 0.79, short of 0.95
        // but above 0.75, so at p* 0.75 a share of 0.794 settles rightly and 0.206 wrongly
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 0.8, 0.2)
                        .in("b", 0.2, 0.8)
                        .build());

        SeasonOutlook.Month june = SeasonOutlook.of(
                        nothingRead(sheet), Sheets.wildInJune(), terms(0.75, Harm.SAMPLE, Map.of()), 3)
                .months()
                .get(5);

        assertEquals(0.794, june.chanceToSettle(), 0.07); // 400 trees: three and a half standard errors
        assertEquals(1, june.chanceToSettle() + june.chanceToMislead(), EXACT);
    }

    @Test
    void leaves_that_are_all_alike_are_one_look() {
        var alike = Sheets.character("leaf").states("x", "y").in("a", 0.8, 0.2).in("b", 0.2, 0.8);
        GroupSheet same = Sheets.sheet(Sheets.pair(), alike.replication(9, 1).build());
        GroupSheet once = Sheets.sheet(Sheets.pair(), alike.replication(1, 1).build());
        GroupSheet apart = Sheets.sheet(Sheets.pair(), alike.replication(9, 0).build());

        assertThat(settledInJune(same)).isEqualTo(settledInJune(once));
        assertThat(settledInJune(apart)).isGreaterThan(settledInJune(same) + 0.5);
    }

    @Test
    void the_same_seed_draws_the_same_trees() {
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), sharp("bark").build());

        assertThat(SeasonOutlook.of(nothingRead(sheet), Sheets.wildInJune(), RECORD, 11))
                .isEqualTo(SeasonOutlook.of(nothingRead(sheet), Sheets.wildInJune(), RECORD, 11));
    }

    @Test
    void separability_sorts_every_tree_into_its_taxon_another_or_none() {
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), sharp("bark").build());

        Separability separability = Separability.of(GroupModel.of(sheet), LifeStage.MATURE, RECORD, 5);

        for (Separability.Month month : separability.months()) {
            for (int truth = 0; truth < 3; truth++) {
                Separability.Fate fate = month.taxa().get(truth);
                assertEquals(1, fate.chanceToSettle(truth) + fate.chanceToMislead(truth) + fate.unsettled(), EXACT);
            }
        }
    }

    @Test
    void separability_plays_as_many_trees_of_each_taxon_and_says_how_sure_it_is() {
        GroupSheet sheet = Sheets.sheet(Sheets.pairWithHybrid(), sharp("bark").build());

        Separability separability = Separability.of(GroupModel.of(sheet), LifeStage.MATURE, RECORD, 5);

        for (Separability.Month month : separability.months()) {
            for (Separability.Fate fate : month.taxa()) {
                assertEquals(Math.rint(fate.unsettled() * 400), fate.unsettled() * 400, EXACT);
            }
        }
        assertThat(separability.largestError()).isBetween(0.0, 0.025); // √(½·½/400) at most
        assertEquals(0.025, Separability.standardError(0.5), EXACT);
    }

    @Test
    void a_year_that_nobody_would_wait_for_is_refused_in_words() {
        DiagnosticCharacter[] many = IntStream.range(0, 220)
                .mapToObj(i -> sharp("c" + i).replication(100, 0.5).build())
                .toArray(DiagnosticCharacter[]::new);
        GroupModel large = GroupModel.of(Sheets.sheet(Sheets.pair(), many));

        assertThatThrownBy(() -> Separability.of(large, LifeStage.MATURE, RECORD, 5))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("million drawn readings");
    }

    private static double settledInJune(GroupSheet sheet) {
        return SeasonOutlook.of(nothingRead(sheet), Sheets.wildInJune(), RECORD, 3)
                .months()
                .get(5)
                .chanceToSettle();
    }

    private static List<String> suggestions(DiagnosticCharacter... characters) {
        Balance balance = nothingRead(Sheets.sheet(Sheets.pair(), characters));
        List<NextCheck> offered = NextChecks.offered(balance, Sheets.wildInJune(), terms(0.95, Harm.WOUND, Map.of()));
        return NextChecks.suggested(offered).stream()
                .map(check -> check.character().id())
                .toList();
    }

    private static double gain(Balance balance, String character) {
        return NextChecks.offered(balance, Sheets.wildInJune(), RECORD).stream()
                .filter(check -> check.character().id().equals(character))
                .findFirst()
                .orElseThrow()
                .gain();
    }

    /** Seen as x in 0.99 of a, as the lapse leaves it: p' = 0.98·1 + 0.01. */
    private static Sheets.CharacterBuilder sharp(String id) {
        return Sheets.character(id).states("x", "y").in("a", 1, 0).in("b", 0, 1);
    }

    private static PlanTerms terms(double threshold, Harm mostHarm, Map<String, Integer> notSeen) {
        return new PlanTerms(threshold, Optional.empty(), mostHarm, false, new Unseen(notSeen, Map.of()), Set.of());
    }

    private static Balance nothingRead(GroupSheet sheet) {
        return balance(sheet);
    }

    private static Balance balance(GroupSheet sheet, Observation... observations) {
        return Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, Sheets.wildInJune(), List.of(observations)),
                        Optional.empty())
                .featuresAlone();
    }
}
