package org.goldthistle.core.balance;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.Absence;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Material;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Position;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.sheet.Trust;
import org.goldthistle.core.sheet.Zone;
import org.junit.jupiter.api.Test;

/** Each formula of sections 2 to 5 on a figure worked by hand. */
class BalanceTest {
    private static final double EXACT = 1e-12; // a few roundings of numbers near 1

    @Test
    void prior_of_a_wild_tree_on_its_ground() {
        // a: 80 % × 0.5 on wet ground = 0.40; b: 20 % × 2 = 0.40; so each half of what none-of-these leaves
        GroupSheet sheet = Sheets.sheet(
                List.of(
                        Sheets.taxon("a", 80, Map.of(Habitat.WET, 0.5)),
                        Sheets.taxon("b", 20, Map.of(Habitat.WET, 2.0))),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());

        Balance balance = surroundings(sheet, Sheets.context(6, TreeOrigin.WILD, Habitat.WET));

        assertEquals(0.49, balance.prior(0), EXACT);
        assertEquals(0.49, balance.prior(1), EXACT);
        assertEquals(0.02, balance.noneOfThese(), EXACT);
    }

    @Test
    void prior_where_the_origin_is_unknown_counts_the_ground_by_its_root() {
        // a: 0.8·√0.25 = 0.4; b: 0.2·√4 = 0.4
        GroupSheet sheet = Sheets.sheet(
                List.of(
                        Sheets.taxon("a", 80, Map.of(Habitat.WET, 0.25)),
                        Sheets.taxon("b", 20, Map.of(Habitat.WET, 4.0))),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());

        Balance balance = surroundings(sheet, Sheets.context(6, TreeOrigin.UNKNOWN, Habitat.WET));

        assertEquals(0.475, balance.prior(0), EXACT);
        assertEquals(0.05, balance.noneOfThese(), EXACT);
    }

    @Test
    void prior_is_drawn_towards_local_records() {
        // b = 0.5 each, S = 20, records 20 of a: a = 0.5·20/40 + 20/40 = 0.75, b = 0.25
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());
        var context = new Context(
                6, LifeStage.MATURE, TreeOrigin.WILD, Set.of(), Optional.empty(), Optional.empty(), Map.of("a", 20));

        assertEquals(0.98 * 0.75, surroundings(sheet, context).prior(0), EXACT);
    }

    @Test
    void no_taxon_starts_at_nothing_and_ground_that_rules_all_out_tells_nothing() {
        GroupSheet absent = Sheets.sheet(
                List.of(Sheets.taxon("a", 100), Sheets.taxon("b", 0)),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());
        GroupSheet drowned = Sheets.sheet(
                List.of(
                        Sheets.taxon("a", 70, Map.of(Habitat.WET, 0.0)),
                        Sheets.taxon("b", 30, Map.of(Habitat.WET, 0.0))),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());

        Balance rare = surroundings(absent, Sheets.context(6, TreeOrigin.PLANTED));
        Balance wet = surroundings(drowned, Sheets.context(6, TreeOrigin.WILD, Habitat.WET));

        assertEquals(0.95 * 0.001 / 1.001, rare.prior(1), EXACT);
        assertEquals(10 * Math.log10(1 / 0.001), rare.surroundingsPoints(0, 1), 1e-9);
        assertEquals(0.49, wet.prior(0), EXACT);
    }

    @Test
    void planted_trees_break_the_rules_of_the_site() {
        GroupSheet sheet = Sheets.sheet(
                List.of(Sheets.taxon("a", 80, Map.of(Habitat.WET, 0.1)), Sheets.taxon("b", 20)),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());

        assertEquals(
                0.95 * 0.8,
                surroundings(sheet, Sheets.context(6, TreeOrigin.PLANTED, Habitat.WET))
                        .prior(0),
                EXACT);
    }

    @Test
    void ties_go_to_the_earlier_and_the_rival_is_the_next() {
        GroupSheet sheet = Sheets.sheet(
                List.of(Sheets.taxon("a", 30), Sheets.taxon("b", 40), Sheets.taxon("c", 30)),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .in("c", 1, 0)
                        .build());

        Balance even = alone(sheet, Sheets.saw("bark", "x"));
        Balance other = alone(sheet, Sheets.saw("bark", "y"));

        assertEquals(0, even.lead());
        assertEquals(2, even.rival());
        assertEquals(1, other.lead());
        assertEquals(0, other.rival());
    }

    @Test
    void belief_among_the_taxa_leaves_none_of_these_out() {
        GroupSheet sheet = oneCharacter(
                Sheets.character("bark").states("x", "y").in("a", 0.9, 0.1).in("b", 0.1, 0.9));

        Balance balance = alone(sheet, Sheets.saw("bark", "x"));

        assertEquals(0.892, balance.amongTaxa()[0], EXACT); // flat prior: the likelihoods' own shares
        assertEquals(1, balance.exponent(0), EXACT);
        assertEquals(0, balance.readInCluster(0));
    }

    @Test
    void a_state_counts_by_its_frequency_and_the_lapse() {
        // p'_a = 0.98·0.9 + 0.02/2 = 0.892, p'_b = 0.98·0.1 + 0.01 = 0.108: 10·log10(0.892/0.108) points
        GroupSheet sheet = oneCharacter(
                Sheets.character("bark").states("x", "y").in("a", 0.9, 0.1).in("b", 0.1, 0.9));

        Balance balance = alone(sheet, Sheets.saw("bark", "x"));

        assertEquals(10 * Math.log10(0.892 / 0.108), balance.points(0, 0, 1), EXACT);
    }

    @Test
    void an_ordered_state_is_mistaken_for_its_neighbours_first() {
        // a is always x: blurred to (0.95, 0.05, 0); b always z: (0, 0.05, 0.95); then the lapse over three states
        GroupSheet sheet = oneCharacter(
                Sheets.character("bark").ordered("x", "y", "z").in("a", 1, 0, 0).in("b", 0, 0, 1));

        Balance balance = alone(sheet, Sheets.saw("bark", "x"));

        double lapse = 0.02 / 3;
        assertEquals(10 * Math.log10((0.98 * 0.95 + lapse) / lapse), balance.points(0, 0, 1), EXACT);
    }

    @Test
    void doubt_draws_every_taxon_towards_the_mean() {
        // α = 0.4: p'' = 0.4·0.892 + 0.6·0.5 = 0.6568 against 0.4·0.108 + 0.3 = 0.3432
        GroupSheet sheet = oneCharacter(
                Sheets.character("bark").states("x", "y").in("a", 0.9, 0.1).in("b", 0.1, 0.9));

        Balance balance = alone(sheet, Sheets.saw(Certainty.UNSURE, "bark", "x"));

        assertEquals(10 * Math.log10(0.6568 / 0.3432), balance.points(0, 0, 1), EXACT);
    }

    @Test
    void a_measure_counts_by_its_two_piece_normal() {
        // both have the same even range moved by 10, so at a's centre the densities differ by exp(−½(10/σ)²)
        GroupSheet sheet = oneCharacter(Sheets.character("length")
                .numbers(Measure.LENGTH)
                .range("a", 10, 15, 25, 30)
                .range("b", 20, 25, 35, 40));
        double spread = 0.75 * 5 / 1.644854 + 0.25 * 10 / 2.575829;
        double top = Math.sqrt(2 / Math.PI) / (2 * spread);
        double slip = 0.02 / 30; // span 40 − 10

        Balance balance = alone(sheet, Sheets.measured("length", 20.0));

        double a = 0.98 * top + slip;
        double b = 0.98 * top * Math.exp(-0.5 * 100 / (spread * spread)) + slip;
        assertEquals(10 * Math.log10(a / b), balance.points(0, 0, 1), EXACT);
    }

    @Test
    void a_count_takes_the_mass_of_its_unit() {
        // symmetric around 3 and 5, so 4 lies as far from either and says nothing
        GroupSheet sheet = oneCharacter(Sheets.character("lobes")
                .numbers(Measure.COUNT)
                .range("a", 1, 2, 4, 5)
                .range("b", 3, 4, 6, 7));

        Balance balance = alone(sheet, Sheets.measured("lobes", 4.0));

        assertEquals(0, balance.points(0, 0, 1), 1e-10); // two error functions, each good to 1e-12
    }

    @Test
    void a_range_without_width_does_not_shout() {
        // a's spread is raised to a fifth of the mean of (0, 0, σ, σ), that is σ/10
        GroupSheet sheet = oneCharacter(Sheets.character("length")
                .numbers(Measure.LENGTH)
                .range("a", 20, 20, 20, 20)
                .range("b", 10, 15, 25, 30));
        double spread = 0.75 * 5 / 1.644854 + 0.25 * 10 / 2.575829;
        double a = 0.98 * Math.sqrt(2 / Math.PI) / (2 * spread / 10) + 0.02 / 20;
        double b = 0.98 * Math.sqrt(2 / Math.PI) / (2 * spread) + 0.02 / 20;

        assertEquals(
                10 * Math.log10(a / b),
                alone(sheet, Sheets.measured("length", 20.0)).points(0, 0, 1),
                EXACT);
    }

    @Test
    void replicates_count_as_the_looks_they_are_worth() {
        // n = 4 alike leaves of likeness 0.5: 4/(1 + 3·0.5) = 1.6 looks
        var bark = Sheets.character("bark")
                .states("x", "y")
                .in("a", 0.9, 0.1)
                .in("b", 0.1, 0.9)
                .replication(4, 0.5);
        GroupSheet sheet = oneCharacter(bark);

        double four = alone(sheet, Sheets.saw("bark", "x", "x", "x", "x")).points(0, 0, 1);
        double one = alone(sheet, Sheets.saw("bark", "x")).points(0, 0, 1);

        assertEquals(1.6 * one, four, EXACT);
    }

    @Test
    void one_signal_read_twice_counts_little_more_than_once() {
        // two of a cluster: each × 1/1.8, together 2/1.8 = 1.11 of one
        var look = Sheets.character("looks")
                .states("x", "y")
                .in("a", 0.9, 0.1)
                .in("b", 0.1, 0.9)
                .cluster("down");
        var feel = Sheets.character("feels")
                .states("x", "y")
                .in("a", 0.9, 0.1)
                .in("b", 0.1, 0.9)
                .cluster("down");
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), look.build(), feel.build());

        double both =
                alone(sheet, Sheets.saw("looks", "x"), Sheets.saw("feels", "x")).totalPoints(0, 1);
        double one = alone(sheet, Sheets.saw("looks", "x")).totalPoints(0, 1);

        assertEquals(2 / 1.8 * one, both, EXACT);
    }

    @Test
    void a_reading_counts_by_the_month_it_was_made_in_whenever_the_tree_is_opened_again() {
        var inMay = new Trust(1, Map.of(), Set.of(5), Map.of(), Map.of(), Map.of());
        GroupSheet sheet = oneCharacter(Sheets.character("leaf")
                .states("x", "y")
                .in("a", 0.9, 0.1)
                .in("b", 0.1, 0.9)
                .trust(inMay));

        assertEquals(1, weightOf(sheet, 5, Sheets.saw("leaf", "x")), EXACT);
        assertEquals(1, weightOf(sheet, 11, Sheets.saw("leaf", "x").madeIn(5)), EXACT);
        assertEquals(0.25, weightOf(sheet, 11, Sheets.saw("leaf", "x")), EXACT);
        assertEquals(0.25, weightOf(sheet, 5, Sheets.saw("leaf", "x").madeIn(11)), EXACT);
    }

    private static double weightOf(GroupSheet sheet, int month, Reading reading) {
        Evidence evidence = Evidence.of(sheet, Sheets.context(month, TreeOrigin.WILD), List.of(reading));
        return Weighing.of(GroupModel.of(sheet), evidence, Optional.empty())
                .readings()
                .get(0)
                .weight();
    }

    @Test
    void the_weight_is_the_product_of_all_that_lowers_it() {
        // 0.8 (school) × 0.5 (stage) × 0.5 (fallen) × 0.9 (shade) × 0.25 (out of season)
        var trust = new Trust(
                0.6,
                Map.of(School.FIELD_MARKS, 0.8),
                Set.of(5),
                Map.of(LifeStage.MATURE, 0.5),
                Map.of(Material.FALLEN, 0.5),
                Map.of(Position.SHADE, 0.9));
        GroupSheet sheet = oneCharacter(Sheets.character("bark")
                .states("x", "y")
                .in("a", 0.9, 0.1)
                .in("b", 0.1, 0.9)
                .trust(trust));
        var context = new Context(
                6,
                LifeStage.MATURE,
                TreeOrigin.WILD,
                Set.of(),
                Optional.of(Material.FALLEN),
                Optional.of(Position.SHADE),
                Map.of());

        WeighedReading reading = Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, context, List.of(Sheets.saw("bark", "x"))),
                        Optional.of(School.FIELD_MARKS))
                .readings()
                .get(0);

        assertEquals(0.8 * 0.5 * 0.5 * 0.9 * 0.25, reading.weight(), EXACT);
        assertTrue(!reading.inSeason());
    }

    @Test
    void a_weak_absence_counts_a_quarter_and_only_when_all_are_absent() {
        GroupSheet sheet = oneCharacter(Sheets.character("thorns")
                .states("absent", "many")
                .in("a", 0.5, 0.5)
                .in("b", 0.9, 0.1)
                .absence(Absence.WEAK)
                .replication(2, 0));

        assertEquals(0.25, weight(sheet, Sheets.saw("thorns", "absent", "absent")), EXACT);
        assertEquals(1, weight(sheet, Sheets.saw("thorns", "absent", "many")), EXACT);
    }

    @Test
    void the_site_speaks_half_where_the_ground_is_noted_and_not_at_all_from_features_alone() {
        GroupSheet sheet = oneCharacter(Sheets.character("soil")
                .organ(Organ.SITE, Zone.STAND_OFF)
                .states("x", "y")
                .in("a", 0.9, 0.1)
                .in("b", 0.1, 0.9));
        Evidence evidence = Evidence.of(
                sheet, Sheets.context(6, TreeOrigin.PLANTED, Habitat.WET), List.of(Sheets.saw("soil", "x")));

        Weighing weighing = Weighing.of(GroupModel.of(sheet), evidence, Optional.empty());

        assertEquals(0.5, weighing.readings().get(0).weight(), EXACT);
        assertEquals(1, weighing.withSurroundings().readings().size());
        assertEquals(0, weighing.featuresAlone().readings().size());
    }

    private static GroupSheet oneCharacter(Sheets.CharacterBuilder character) {
        return Sheets.sheet(Sheets.pair(), character.build());
    }

    private static Balance surroundings(GroupSheet sheet, Context context) {
        return Weighing.of(GroupModel.of(sheet), Evidence.of(sheet, context, List.of()), Optional.empty())
                .withSurroundings();
    }

    private static Balance alone(GroupSheet sheet, Observation... observations) {
        return Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, Sheets.wildInJune(), List.of(observations)),
                        Optional.empty())
                .featuresAlone();
    }

    private static double weight(GroupSheet sheet, Observation observation) {
        return Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, Sheets.wildInJune(), List.of(observation)),
                        Optional.empty())
                .readings()
                .get(0)
                .weight();
    }
}
