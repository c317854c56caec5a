package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.Stream;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.NormalDistribution;
import org.goldthistle.core.balance.NumberLikelihood;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.balance.TwoPieceNormal;
import org.goldthistle.core.practice.Pair;
import org.goldthistle.core.practice.PracticeTree;
import org.goldthistle.core.practice.Specimen;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.NumberScale;
import org.goldthistle.core.sheet.StateScale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Practice trees of every built-in sheet against the profiles that they are drawn from, 20,000 a sheet. */
class PracticeTreesTest {
    private static final int TREES = 20_000;
    private static final double BEYOND_CHANCE = 5; // standard errors
    private static final int FEW = 400; // trees, of which no more is said
    private static final double[] QUANTILES = {0.05, 0.5, 0.95};

    static Stream<String> groups() {
        return BuiltInLibrary.GROUPS.stream();
    }

    @ParameterizedTest
    @MethodSource("groups")
    void drawn_trees_show_what_the_profiles_say_and_their_leaves_are_as_alike(String group) {
        GroupModel model = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText(group)));
        Pair pair = separable(model);
        Map<DiagnosticCharacter, Seen> seen = new HashMap<>();
        int none = 0;
        int mature = 0;
        for (int seed = 0; seed < TREES; seed++) {
            PracticeTree tree = PracticeTree.draw(model, seed, pair);
            none += tree.truth().isEmpty() ? 1 : 0;
            mature += tree.stage() == LifeStage.MATURE ? 1 : 0;
            if (tree.truth().filter(taxon -> taxon.id().equals(pair.one())).isPresent()) {
                for (DiagnosticCharacter character : model.sheet().characters()) {
                    Specimen specimen = tree.specimen(character.id());
                    if (specimen.isBorne()) {
                        seen.computeIfAbsent(character, any -> new Seen(model, character, tree.taxon()))
                                .add(specimen);
                    }
                }
            }
        }

        assertShare(none, TREES, 1 / 8.0, "none of these");
        assertShare(mature, TREES, 0.7, "mature");
        assertThat(seen).hasSizeGreaterThan(model.sheet().characters().size() / 2);
        seen.values().forEach(Seen::assertAsTheProfile);
    }

    private static void assertShare(double count, double of, double expected, String what) {
        assertThat(count / of)
                .as(what)
                .isCloseTo(expected, within(1e-9 + BEYOND_CHANCE * Math.sqrt(expected * (1 - expected) / of)));
    }

    /** The first two taxa of a sheet that something tells apart. */
    private static Pair separable(GroupModel model) {
        for (int a = 0; a < model.taxonCount(); a++) {
            for (int b = a + 1; b < model.taxonCount(); b++) {
                Pair pair = new Pair(
                        model.sheet().taxa().get(a).id(),
                        model.sheet().taxa().get(b).id());
                try {
                    PracticeTree.requireApart(model, pair);
                    return pair;
                } catch (RefusedException alike) {
                    continue;
                }
            }
        }
        throw new AssertionError("no two taxa are told apart");
    }

    /** What was seen of one character on trees of one taxon. */
    private static final class Seen {
        private final DiagnosticCharacter character;
        private final int taxon;
        private final Outcomes outcomes;
        private final TwoPieceNormal spread;
        private final Map<String, Integer> states = new HashMap<>();
        private final int[] below = new int[QUANTILES.length];
        private int trees;
        private int alike;
        private double sumOfProducts;

        Seen(GroupModel model, DiagnosticCharacter character, int taxon) {
            this.character = character;
            this.taxon = taxon;
            var likelihood = model.likelihood(model.characterIndex(character.id()));
            this.outcomes = likelihood.outcomes();
            this.spread = likelihood instanceof NumberLikelihood number ? number.spread(taxon) : null;
        }

        void add(Specimen specimen) {
            trees++;
            if (spread == null) {
                states.merge(specimen.states().get(0), 1, Integer::sum);
                if (specimen.states().size() > 1
                        && specimen.states().get(0).equals(specimen.states().get(1))) {
                    alike++;
                }
                return;
            }
            for (int q = 0; q < QUANTILES.length; q++) {
                below[q] += specimen.values().get(0) < spread.quantile(QUANTILES[q]) ? 1 : 0;
            }
            if (specimen.values().size() > 1) {
                sumOfProducts +=
                        z(specimen.values().get(0)) * z(specimen.values().get(1));
            }
        }

        private double z(double value) {
            double share = spread.left() / (spread.left() + spread.right());
            double half = NormalDistribution.below((value - spread.centre()) / spread.spreadAt(value));
            double below = value < spread.centre() ? 2 * share * half : 1 - 2 * (1 - share) * (1 - half);
            return NormalDistribution.quantile(Math.min(1 - 1e-9, Math.max(1e-9, below)));
        }

        void assertAsTheProfile() {
            if (trees < FEW) {
                return;
            }
            String of = character.id();
            double likeness = character.replication().likeness();
            if (character.scale() instanceof StateScale scale) {
                double agreed = 0;
                for (int s = 0; s < scale.states().size(); s++) {
                    double mass = outcomes.mass(s, taxon);
                    agreed += mass * mass;
                    String id = scale.states().get(s).id();
                    assertShare(states.getOrDefault(id, 0), trees, mass, of + " " + id);
                }
                if (character.replication().replicates() > 1) {
                    assertShare(alike, trees, likeness + (1 - likeness) * agreed, of + " alike");
                }
                return;
            }
            boolean fine = ((NumberScale) character.scale()).measure().code().matches("length|ratio");
            boolean inside = spread.quantile(0.01) > 0; // else what is cut off at 0 shows
            if (fine && inside) {
                for (int q = 0; q < QUANTILES.length; q++) {
                    assertShare(below[q], trees, QUANTILES[q], of + " below " + QUANTILES[q]);
                }
                if (character.replication().replicates() > 1) {
                    assertThat(sumOfProducts / trees)
                            .as(of + " correlation")
                            .isCloseTo(likeness, within(BEYOND_CHANCE * 1.5 / Math.sqrt(trees)));
                }
            }
        }
    }
}
