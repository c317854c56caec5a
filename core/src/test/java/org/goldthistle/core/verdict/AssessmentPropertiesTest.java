package org.goldthistle.core.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.goldthistle.core.RandomSheets;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.NotSeen;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Trust;

/** What must hold for every sheet and every reading; each case is made from a seed that a failure names. */
class AssessmentPropertiesTest {
    private static final double ROUNDING = 1e-9; // sums of some hundred terms near 1, added in another order
    private static final int TRIES = 60;
    private static final String SEED = "20261125"; // the same cases every time; a failure names its own

    @Property(tries = TRIES, seed = SEED)
    void posteriors_sum_to_one(@ForAll long seed) {
        Case one = new Case(seed);

        for (Balance balance : List.of(one.surroundings(), one.alone())) {
            double sum = balance.noneOfThese();
            for (int k = 0; k < balance.model().taxonCount(); k++) {
                sum += balance.posterior(k);
            }
            assertEquals(1, sum, ROUNDING);
        }
    }

    @Property(tries = TRIES, seed = SEED)
    void the_order_of_readings_never_matters(@ForAll long seed) {
        Case one = new Case(seed);
        List<Observation> shuffled = new ArrayList<>(one.readings);
        Collections.shuffle(shuffled, new Random(seed));

        Balance other = alone(one.sheet, shuffled);

        assertSamePosteriors(one.sheet, one.alone(), one.sheet, other);
    }

    @Property(tries = TRIES, seed = SEED)
    void the_order_of_taxa_never_matters(@ForAll long seed) {
        Case one = new Case(seed);
        List<Taxon> reversed = new ArrayList<>(one.sheet.taxa());
        Collections.reverse(reversed);
        GroupSheet other = Sheets.sheet(reversed, one.sheet.characters().toArray(new DiagnosticCharacter[0]));

        assertSamePosteriors(one.sheet, one.alone(), other, alone(other, one.readings));
    }

    @Property(tries = TRIES, seed = SEED)
    void the_order_of_unordered_states_never_matters(@ForAll long seed) {
        Case one = new Case(seed);
        GroupSheet other = Sheets.sheet(
                one.sheet.taxa(),
                one.sheet.characters().stream()
                        .map(AssessmentPropertiesTest::withStatesReversed)
                        .toArray(DiagnosticCharacter[]::new));

        assertSamePosteriors(one.sheet, one.alone(), other, alone(other, one.readings));
    }

    @Property(tries = TRIES, seed = SEED)
    void a_character_not_seen_changes_nothing(@ForAll long seed) {
        Case one = new Case(seed);
        List<Observation> withUnseen = new ArrayList<>(one.readings);
        for (DiagnosticCharacter character : one.sheet.characters()) {
            if (one.readings.stream().noneMatch(reading -> reading.character().equals(character.id()))) {
                withUnseen.add(new NotSeen(character.id()));
            }
        }

        assertSamePosteriors(one.sheet, one.alone(), one.sheet, alone(one.sheet, withUnseen));
    }

    @Property(tries = TRIES, seed = SEED)
    void in_which_month_it_was_read_matters_only_out_of_season(@ForAll long seed) {
        Case one = new Case(seed); // readable all year
        int month = 1 + Math.floorMod(seed, 12);
        List<Observation> elsewhen = one.readings.stream()
                .map(observation -> observation instanceof Reading reading ? reading.madeIn(month) : observation)
                .toList();

        assertSamePosteriors(one.sheet, one.alone(), one.sheet, alone(one.sheet, elsewhen));
    }

    @Property(tries = TRIES, seed = SEED)
    void raising_a_weight_never_weakens_the_reading_s_own_points(@ForAll long seed) {
        Case one = new Case(seed);
        GroupSheet heavier = Sheets.sheet(
                one.sheet.taxa(),
                one.sheet.characters().stream()
                        .map(character -> withWeight(
                                character, Math.min(1, character.trust().weight() + 0.2)))
                        .toArray(DiagnosticCharacter[]::new));

        Balance before = one.alone();
        Balance after = alone(heavier, one.readings);

        for (int j = 0; j < before.readings().size(); j++) {
            assertTrue(Math.abs(after.points(j, 0, 1)) >= Math.abs(before.points(j, 0, 1)) - ROUNDING);
        }
    }

    @Property(tries = 20, seed = SEED)
    void copies_of_one_signal_never_count_more_than_five_quarters(@ForAll long seed) {
        int copies = 1 + new Random(seed).nextInt(30);
        List<DiagnosticCharacter> characters = new ArrayList<>();
        List<Observation> readings = new ArrayList<>();
        for (int c = 0; c < copies; c++) {
            characters.add(Sheets.character("c" + c)
                    .states("x", "y")
                    .in("a", 0.9, 0.1)
                    .in("b", 0.1, 0.9)
                    .cluster("one")
                    .build());
            readings.add(Sheets.saw("c" + c, "x"));
        }
        GroupSheet sheet = Sheets.sheet(Sheets.pair(), characters.toArray(new DiagnosticCharacter[0]));

        double one = alone(sheet, readings.subList(0, 1)).totalPoints(0, 1);
        double all = alone(sheet, readings).totalPoints(0, 1);

        assertTrue(all <= 1.25 * one && all >= one - ROUNDING);
    }

    @Property(tries = TRIES, seed = SEED)
    void doubt_lies_between_silence_and_certainty(@ForAll long seed) {
        Case one = new Case(seed, 1);
        for (Observation observation : one.readings) {
            Reading reading = (Reading) observation;
            double sure = pointsOf(one.sheet, reading, Certainty.SURE);
            double fairly = pointsOf(one.sheet, reading, Certainty.FAIRLY);
            double unsure = pointsOf(one.sheet, reading, Certainty.UNSURE);

            assertTrue(unsure * sure >= 0);
            assertTrue(Math.abs(unsure) <= Math.abs(fairly) + ROUNDING);
            assertTrue(Math.abs(fairly) <= Math.abs(sure) + ROUNDING);
        }
    }

    @Property(tries = TRIES, seed = SEED)
    void a_confirming_set_suffices_and_none_of_its_size_or_less_does_better(@ForAll long seed) {
        Case one = new Case(seed, 2);
        Balance balance = one.alone();
        double threshold = 0.6;

        List<WeighedReading> confirming = Confirmation.of(balance, threshold).confirming();

        if (balance.posterior(balance.lead()) < threshold) {
            assertTrue(confirming.isEmpty());
            return;
        }
        int wanted = 0;
        for (WeighedReading reading : confirming) {
            wanted |= 1 << balance.readings().indexOf(reading);
        }
        double reached = posteriorOfLead(balance, wanted);
        assertTrue(wanted == 0 || reached >= threshold - ROUNDING);
        for (int subset = 1; subset < 1 << balance.readings().size(); subset++) {
            double posterior = posteriorOfLead(balance, subset);
            int size = Integer.bitCount(subset);
            assertFalse(posterior >= threshold + ROUNDING && (wanted == 0 || size < confirming.size()));
            assertFalse(size == confirming.size() && posterior > reached + ROUNDING);
        }
    }

    @Property(tries = TRIES, seed = SEED)
    void a_derived_profile_is_a_proper_one(@ForAll long seed) {
        GroupSheet sheet = RandomSheets.sheet(new Random(seed), 3, 8);
        for (DiagnosticCharacter character : sheet.characters()) {
            if (sheet.profile(character, "t2") instanceof StateProfile states) { // cannot be built improper
                double sum = states.frequencies().values().stream()
                        .mapToDouble(Double::doubleValue)
                        .sum();
                assertEquals(1, sum, ROUNDING);
            } else {
                assertTrue(
                        ((RangeProfile) sheet.profile(character, "t2")).range().rarelyLow() >= 0);
            }
        }
    }

    @Property(tries = 15, seed = SEED)
    void no_legal_input_ends_in_a_figure_that_is_none(@ForAll long seed) {
        Random random = new Random(seed);
        GroupSheet sheet = RandomSheets.sheet(random, 2 + random.nextInt(11), 60);
        List<Observation> readings = RandomSheets.readings(random, sheet, 40);

        Assessment assessment = Assessment.of(
                GroupModel.of(sheet),
                Evidence.of(sheet, Sheets.wildInJune(), readings),
                Terms.of(Tier.values()[random.nextInt(3)]),
                CallRecord.EMPTY);

        for (int k = 0; k < sheet.taxa().size(); k++) {
            assertTrue(Double.isFinite(assessment.withSurroundings().posterior(k)));
        }
        for (int j = 0; j < assessment.deciding().readings().size(); j++) {
            assertTrue(Double.isFinite(assessment.deciding().points(j, 0, 1)));
        }
        assertTrue(Double.isFinite(assessment.surprise()));
        assessment.offered().forEach(check -> {
            assertTrue(check.gain() >= 0 && Double.isFinite(check.gain()));
            assertTrue(check.chanceToSettle() >= 0 && check.chanceToSettle() <= 1 + ROUNDING);
        });
        assessment.ancestries().forEach(ancestry -> {
            assertTrue(ancestry.mean() >= 0 && ancestry.mean() <= 1 + ROUNDING);
            assertTrue(ancestry.low() <= ancestry.high());
            ancestry.index().ifPresent(index -> assertTrue(index >= 0 && index <= 1));
            ancestry.mosaic().ifPresent(mosaic -> assertTrue(Double.isFinite(mosaic)));
        });
        assessment.confirmation();
        assessment.reasons();
    }

    private static void assertSamePosteriors(GroupSheet sheet, Balance one, GroupSheet other, Balance two) {
        for (Taxon taxon : sheet.taxa()) {
            assertEquals(
                    one.posterior(sheet.taxonIndex(taxon.id())),
                    two.posterior(other.taxonIndex(taxon.id())),
                    ROUNDING,
                    taxon.id());
        }
    }

    private static double posteriorOfLead(Balance balance, int subset) {
        double[] logs = new double[balance.model().taxonCount() + 1];
        for (int k = 0; k < logs.length; k++) {
            logs[k] = Math.log(balance.prior(k));
            for (int j = 0; j < balance.readings().size(); j++) {
                logs[k] += (subset >> j & 1) == 1 ? balance.contribution(j, k) : 0;
            }
        }
        return Balance.toShares(logs)[balance.lead()];
    }

    private static double pointsOf(GroupSheet sheet, Reading reading, Certainty certainty) {
        var doubted =
                new Reading(reading.character(), reading.observed(), certainty, reading.material(), reading.position());
        Balance balance = Weighing.of(
                        GroupModel.of(sheet),
                        Evidence.of(sheet, Sheets.wildInJune(), List.of(doubted)),
                        Optional.empty())
                .withSurroundings();
        return balance.points(0, 0, 1);
    }

    private static Balance alone(GroupSheet sheet, List<Observation> readings) {
        return Weighing.of(GroupModel.of(sheet), Evidence.of(sheet, Sheets.wildInJune(), readings), Optional.empty())
                .featuresAlone();
    }

    private static DiagnosticCharacter withStatesReversed(DiagnosticCharacter one) {
        if (!(one.scale() instanceof StateScale scale) || scale.ordered()) {
            return one;
        }
        var reversed = new ArrayList<>(scale.states());
        Collections.reverse(reversed);
        return new DiagnosticCharacter(
                one.id(),
                one.name(),
                one.shortName(),
                one.organ(),
                one.zone(),
                new StateScale(false, reversed),
                one.profiles(),
                one.trust(),
                one.bearing(),
                one.replication(),
                one.cluster(),
                one.effort(),
                one.absence(),
                one.guidance());
    }

    private static DiagnosticCharacter withWeight(DiagnosticCharacter one, double weight) {
        return new DiagnosticCharacter(
                one.id(),
                one.name(),
                one.shortName(),
                one.organ(),
                one.zone(),
                one.scale(),
                one.profiles(),
                new Trust(weight, Map.of(), one.trust().months(), Map.of(), Map.of(), Map.of()),
                one.bearing(),
                one.replication(),
                one.cluster(),
                one.effort(),
                one.absence(),
                one.guidance());
    }

    /** A sheet of up to five taxa and eight characters with readings of most of them. */
    private static final class Case {
        final GroupSheet sheet;
        final List<Observation> readings;

        Case(long seed) {
            this(seed, 3);
        }

        Case(long seed, int replicates) {
            Random random = new Random(seed);
            sheet = RandomSheets.sheet(random, 2 + random.nextInt(4), 8);
            readings = RandomSheets.readings(random, sheet, replicates);
        }

        Balance surroundings() {
            return Weighing.of(
                            GroupModel.of(sheet), Evidence.of(sheet, Sheets.wildInJune(), readings), Optional.empty())
                    .withSurroundings();
        }

        Balance alone() {
            return AssessmentPropertiesTest.alone(sheet, readings);
        }
    }
}
