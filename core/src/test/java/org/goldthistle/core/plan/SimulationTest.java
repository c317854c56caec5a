package org.goldthistle.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.junit.jupiter.api.Test;

/** What the season outlook and the separability are drawn with. */
class SimulationTest {
    private static final double EXACT = 1e-12;
    private static final PlanTerms RECORD =
            new PlanTerms(0.95, Optional.empty(), Harm.SAMPLE, false, Unseen.NOTHING, Set.of());

    @Test
    void every_tree_month_and_seed_has_numbers_of_its_own_and_they_are_even() {
        Set<Double> firsts = new HashSet<>();
        double sum = 0;
        for (int seed = 0; seed < 5; seed++) {
            for (int month = 1; month <= 12; month++) {
                for (int tree = 0; tree < 100; tree++) {
                    double first = new TreeStream(seed, month, tree).next();
                    firsts.add(first);
                    sum += first;
                }
            }
        }

        assertThat(firsts).hasSize(6000);
        assertEquals(0.5, sum / 6000, 0.015); // four standard errors of an even number's mean
        assertEquals(new TreeStream(1, 2, 3).next(), new TreeStream(1, 2, 3).next(), 0);
    }

    @Test
    void a_point_of_the_belief_names_its_taxon() {
        double[] among = {0.2, 0.5, 0.3};

        assertThat(List.of(
                        SeasonOutlook.drawTaxon(among, 0),
                        SeasonOutlook.drawTaxon(among, 0.19),
                        SeasonOutlook.drawTaxon(among, 0.21),
                        SeasonOutlook.drawTaxon(among, 0.69),
                        SeasonOutlook.drawTaxon(among, 0.71),
                        SeasonOutlook.drawTaxon(among, 0.9999)))
                .containsExactly(0, 0, 1, 1, 2, 2);
    }

    @Test
    void a_tree_that_is_settled_already_stays_so_whatever_the_month() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());
        Balance balance = balance(sheet, Sheets.saw("bark", "x"));
        double belief = balance.amongTaxa()[0]; // 0.99: that share of the drawn trees is a, and a is what is named

        SeasonOutlook.Month january = SeasonOutlook.of(balance, Sheets.wildInJune(), RECORD, 1)
                .months()
                .get(0);

        assertEquals(belief, january.chanceToSettle(), 1.0 / SeasonOutlook.TREES);
        assertEquals(1 - belief, january.chanceToMislead(), 1.0 / SeasonOutlook.TREES);
    }

    @Test
    void a_reading_whose_cluster_is_read_further_gives_up_some_of_its_share() {
        // looks: 16.9 points alone, at φ = 1/1.8 in company; feels says nothing, so in its company looks falls short
        var looks = Sheets.character("looks")
                .states("x", "y")
                .in("a", 1, 0)
                .in("b", 0, 1)
                .cluster("down")
                .build();
        var feels = Sheets.character("feels")
                .states("x", "y")
                .in("a", 0.5, 0.5)
                .in("b", 0.5, 0.5)
                .cluster("down")
                .build();
        Balance balance = balance(Sheets.sheet(Sheets.pair(), looks, feels), Sheets.saw("looks", "x"));

        SeasonOutlook.Month june = SeasonOutlook.of(balance, Sheets.wildInJune(), RECORD, 1)
                .months()
                .get(5);

        assertThat(balance.posterior(0)).isGreaterThan(0.95);
        assertEquals(0, june.chanceToSettle(), EXACT);
    }

    @Test
    void what_hid_today_may_show_in_another_month_but_not_today() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());
        var hidden = new PlanTerms(
                0.95, Optional.empty(), Harm.SAMPLE, false, new Unseen(Map.of("bark", 6), Map.of()), Set.of());

        SeasonOutlook outlook = SeasonOutlook.of(balance(sheet), Sheets.wildInJune(), hidden, 1);

        assertThat(outlook.months().get(5).chanceToSettle()).isZero();
        assertThat(outlook.months().get(6).chanceToSettle()).isGreaterThan(0.9);
    }

    @Test
    void separability_counts_the_trees_of_each_taxon() {
        GroupSheet sheet = Sheets.sheet(
                Sheets.pair(),
                Sheets.character("bark")
                        .states("x", "y")
                        .in("a", 1, 0)
                        .in("b", 0, 1)
                        .build());

        Separability.Month june = Separability.of(GroupModel.of(sheet), LifeStage.MATURE, RECORD, 1)
                .months()
                .get(5);

        // 0.99 of a's trees show x and are named a, the rest show y and are named b: π_out 0.05 leaves 0.975·0.99/…
        Separability.Fate a = june.taxa().get(0);
        assertThat(june.month()).isEqualTo(6);
        assertEquals(a.named().get(0), a.chanceToSettle(0), EXACT);
        assertEquals(a.named().get(1), a.chanceToMislead(0), EXACT);
        assertEquals(1, a.named().get(0) + a.named().get(1) + a.unsettled(), EXACT);
        assertThat(a.chanceToSettle(0) + a.unsettled()).isGreaterThan(0.95);
    }

    @Test
    void seeds_rise_with_what_a_minute_brings() {
        assertThat(List.of(seeds(0.0099), seeds(0.01), seeds(0.03), seeds(0.0799), seeds(0.08), seeds(0.2)))
                .containsExactly(0, 1, 2, 2, 3, 4);
    }

    private static int seeds(double gainOfOneMinute) {
        var bark = Sheets.character("bark").states("x", "y").build();
        return new NextCheck(bark, 2 * gainOfOneMinute, 0, 2, false, false).seeds();
    }

    private static Balance balance(GroupSheet sheet, Observation... observations) {
        return Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, Sheets.wildInJune(), List.of(observations)),
                        Optional.empty())
                .featuresAlone();
    }
}
