package org.goldthistle.core.learning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Sheets;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.drawn.DrawnTrees;
import org.goldthistle.core.drawn.TreeStream;
import org.goldthistle.core.learning.Proposal.Kind;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Measure;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Profile;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.StateProfile;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.Zone;
import org.goldthistle.core.verdict.Tier;
import org.junit.jupiter.api.Test;

/** What drawn trees teach of a sheet that they were not drawn from. */
class LessonTest {
    private static final String SAYS_NOTHING = "bark";
    private static final List<Taxon> TAXA =
            List.of(Sheets.taxon("a", 50), Sheets.taxon("b", 30), Sheets.taxon("c", 20));

    /** What the authors believe. */
    private static final GroupSheet SHEET = Sheets.sheet(
            TAXA,
            character(SAYS_NOTHING, Organ.BARK, 0.7, 0.15),
            character("twig", Organ.TWIG, 0.6, 0.3),
            character("leaf", Organ.LEAF, 0.55, 0.3),
            character("bud", Organ.BUD, 0.6, 0.25),
            Sheets.character("length")
                    .numbers(Measure.LENGTH)
                    .range("a", 20, 30, 50, 60)
                    .range("b", 25, 35, 60, 75)
                    .range("c", 15, 22, 40, 50)
                    .weight(0.7)
                    .build());

    /** What the wood is like: every frequency is 15 % off, and the bark is the same on all. */
    private static final GroupModel WOOD = GroupModel.of(SHEET.withCharacters(SHEET.characters().stream()
            .map(one -> one.withProfiles(one.id().equals(SAYS_NOTHING) ? alike() : shifted(one)))
            .toList()));

    @Test
    void a_character_that_tells_nothing_loses_its_weight_and_new_trees_are_named_better() {
        Lesson lesson = Lesson.of(SHEET, trees(1, 600), Set.of());

        assertThat(lesson.ruling()).isEqualTo(Ruling.ACCEPT);
        assertThat(weight(lesson.proposed(), SAYS_NOTHING)).isLessThan(0.2);
        assertThat(Reliability.of(GroupModel.of(lesson.proposed()), trees(2, 600))
                        .logLoss()
                        .orElseThrow())
                .isLessThan(Reliability.of(GroupModel.of(SHEET), trees(2, 600))
                        .logLoss()
                        .orElseThrow());
        assertThat(lesson.proposals()).isNotEmpty().allSatisfy(one -> {
            assertThat(one.trees()).isEqualTo(600);
            assertThat(one.now()).isEqualTo(SHEET.character(one.now().id()).orElseThrow());
            assertThat(one.proposed()).isNotEqualTo(one.now());
        });
    }

    @Test
    void profiles_move_towards_what_was_seen() {
        // the authors took the states of the twig for each other's
        GroupModel swapped = GroupModel.of(SHEET.withCharacters(SHEET.characters().stream()
                .map(one -> one.id().equals("twig") ? one.withProfiles(turned(one)) : one)
                .toList()));

        Lesson lesson = Lesson.of(SHEET, trees(swapped, 3, 600), Set.of());

        double believed = frequency(SHEET, "twig");
        double is = frequency(swapped.sheet(), "twig");
        double proposed = frequency(lesson.proposed(), "twig");
        assertThat(Math.abs(proposed - is)).isLessThan(Math.abs(believed - is) / 5);
        assertThat(lesson.proposals())
                .filteredOn(one -> one.kind() == Kind.PROFILES && one.now().id().equals("twig"))
                .singleElement()
                .satisfies(one -> {
                    assertThat(one.treesByTaxon().values()).allMatch(n -> n == 200);
                    assertThat(one.lossAlone()).isNegative();
                });
    }

    @Test
    void thirty_nine_trees_propose_nothing() {
        Lesson lesson = Lesson.of(SHEET, trees(1, 39), Set.of());

        assertThat(lesson.ruling()).isEqualTo(Ruling.TOO_FEW);
        assertThat(lesson.proposals()).isEmpty();
        assertThat(lesson.proposed()).isEqualTo(SHEET);
        assertThat(lesson.trials()).isEmpty();
    }

    @Test
    void trees_that_are_as_the_sheet_says_change_little_or_nothing() {
        List<VerifiedTree> asSaid = trees(GroupModel.of(SHEET), 4, 200);

        Lesson lesson = Lesson.of(SHEET, asSaid, Set.of());

        double before = Reliability.of(GroupModel.of(SHEET), trees(GroupModel.of(SHEET), 5, 600))
                .logLoss()
                .orElseThrow();
        double after = Reliability.of(GroupModel.of(lesson.proposed()), trees(GroupModel.of(SHEET), 5, 600))
                .logLoss()
                .orElseThrow();
        assertThat(after).isLessThan(before + 0.02);
    }

    @Test
    void a_character_that_settled_a_case_keeps_some_weight() {
        Lesson lesson = Lesson.of(SHEET, trees(1, 600), Set.of(SAYS_NOTHING));

        assertThat(weight(lesson.proposed(), SAYS_NOTHING)).isGreaterThanOrEqualTo(0.05);
    }

    @Test
    void the_same_trees_teach_the_same_in_any_order() {
        List<VerifiedTree> trees = trees(6, 120);
        List<VerifiedTree> reversed = new ArrayList<>(trees);
        Collections.reverse(reversed);

        Lesson forth = Lesson.of(SHEET, trees, Set.of());
        Lesson back = Lesson.of(SHEET, reversed, Set.of());

        assertThat(back.ruling()).isEqualTo(forth.ruling());
        assertThat(back.choice()).isEqualTo(forth.choice());
        forth.trials()
                .forEach((choice, trial) ->
                        assertThat(back.trials().get(choice).after()).isCloseTo(trial.after(), within(1e-9)));
    }

    @Test
    void quantiles_as_published() {
        double[] ten = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10};

        assertThat(LearntProfiles.quantile(ten, 0.5)).isCloseTo(5.5, within(1e-12));
        assertThat(LearntProfiles.quantile(ten, 0.25)).isCloseTo(2.9166666666666665, within(1e-12)); // 31/3·0.25 + 1/3
        assertThat(LearntProfiles.quantile(ten, 0.01)).isEqualTo(1);
        assertThat(LearntProfiles.quantile(ten, 0.99)).isEqualTo(10);
    }

    @Test
    void a_range_moves_with_twelve_trees_and_not_with_eleven() {
        DiagnosticCharacter length = SHEET.character("length").orElseThrow();

        LearntProfiles eleven = LearntProfiles.of(SHEET, length, lengths(11));
        LearntProfiles twelve = LearntProfiles.of(SHEET, length, lengths(12));

        assertThat(eleven.character()).isEqualTo(length);
        var range = ((RangeProfile) twelve.profiles().get("a")).range();
        double[] means = {100, 101, 102, 103, 104, 105, 106, 107, 108, 109, 110, 111};
        double mix = 12.0 / 32;
        assertThat(range.usuallyLow()).isCloseTo(30 + mix * (LearntProfiles.quantile(means, 0.05) - 30), within(1e-12));
        assertThat(range.usuallyLow() - range.rarelyLow()).isCloseTo(10, within(1e-12));
        assertThat(range.rarelyHigh() - range.usuallyHigh()).isCloseTo(10, within(1e-12));
        assertThat(twelve.trees()).containsOnly(Map.entry("a", 12));
    }

    @Test
    void a_count_keeps_limits_that_span_a_whole_number() {
        GroupSheet counted = Sheets.sheet(
                TAXA,
                Sheets.character("lobes")
                        .numbers(Measure.COUNT)
                        .range("a", 5, 5, 5, 5)
                        .range("b", 7, 7, 7, 7)
                        .range("c", 9, 9, 9, 9)
                        .build());
        List<VerifiedTree> trees = new ArrayList<>();
        for (int t = 0; t < 20; t++) {
            Evidence evidence = Evidence.of(counted, Sheets.wildInJune(), List.of(Sheets.measured("lobes", 5.0, 6.0)));
            trees.add(VerifiedTree.of(GroupModel.of(counted), "t" + t, evidence, "a", Tier.RECORD, Optional.empty()));
        }

        LearntProfiles learnt = LearntProfiles.of(counted, counted.characters().get(0), trees); // 5.25 throughout

        assertThat(learnt.character()).isEqualTo(counted.characters().get(0));
    }

    private static List<VerifiedTree> lengths(int trees) {
        List<VerifiedTree> all = new ArrayList<>();
        for (int t = 0; t < trees; t++) {
            Evidence evidence =
                    Evidence.of(SHEET, Sheets.wildInJune(), List.of(Sheets.measured("length", 90.0 + t, 110.0 + t)));
            all.add(VerifiedTree.of(GroupModel.of(SHEET), "t" + t, evidence, "a", Tier.RECORD, Optional.empty()));
        }
        return all;
    }

    private static double weight(GroupSheet sheet, String character) {
        return sheet.character(character).orElseThrow().trust().weight();
    }

    private static double frequency(GroupSheet sheet, String character) {
        return ((StateProfile)
                        sheet.character(character).orElseThrow().profiles().get("a"))
                .frequency("x");
    }

    private static List<VerifiedTree> trees(long seed, int count) {
        return trees(WOOD, seed, count);
    }

    /** Trees of a wood, each taxon alike often, read with the authors' sheet. */
    private static List<VerifiedTree> trees(GroupModel wood, long seed, int count) {
        GroupModel model = GroupModel.of(SHEET);
        var drawn = new DrawnTrees(wood, LifeStage.MATURE, Harm.SAMPLE);
        List<VerifiedTree> trees = new ArrayList<>();
        for (int t = 0; t < count; t++) {
            int truth = t % TAXA.size();
            Evidence evidence = Evidence.of(SHEET, Sheets.wildInJune(), drawn.read(truth, new TreeStream(seed, 0, t)));
            trees.add(VerifiedTree.of(
                    model, seed + "-" + t, evidence, TAXA.get(truth).id(), Tier.RECORD, Optional.empty()));
        }
        return trees;
    }

    private static DiagnosticCharacter character(String id, Organ organ, double own, double other) {
        double rest = 1 - own - other;
        return Sheets.character(id)
                .organ(organ, Zone.HAND)
                .states("x", "y", "z")
                .in("a", own, other, rest)
                .in("b", other, own, rest)
                .in("c", rest, other, own)
                .weight(0.8)
                .build();
    }

    private static Map<String, Profile> alike() {
        Map<String, Profile> profiles = new HashMap<>();
        TAXA.forEach(taxon -> profiles.put(taxon.id(), new StateProfile(Map.of("x", 0.4, "y", 0.3, "z", 0.3))));
        return profiles;
    }

    /** Each taxon looks as the next one was said to. */
    private static Map<String, Profile> turned(DiagnosticCharacter one) {
        return Map.of(
                "a",
                one.profiles().get("b"),
                "b",
                one.profiles().get("c"),
                "c",
                one.profiles().get("a"));
    }

    /** The first frequency 15 % lower, what it loses goes to the last. */
    private static Map<String, Profile> shifted(DiagnosticCharacter one) {
        Map<String, Profile> profiles = new LinkedHashMap<>(one.profiles());
        profiles.replaceAll((taxon, profile) -> {
            if (!(profile instanceof StateProfile states)) {
                return profile;
            }
            double lost = 0.15 * states.frequency("x");
            return new StateProfile(Map.of(
                    "x", states.frequency("x") - lost, "y", states.frequency("y"), "z", states.frequency("z") + lost));
        });
        return profiles;
    }
}
