package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Outcomes;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.hybrid.Ancestry;
import org.goldthistle.core.reading.Certainty;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.Observation;
import org.goldthistle.core.reading.Observed;
import org.goldthistle.core.reading.Reading;
import org.goldthistle.core.reading.StatesObserved;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.reading.ValuesObserved;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.core.sheet.Range;
import org.goldthistle.core.sheet.RangeProfile;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.core.sheet.Taxon;
import org.junit.jupiter.api.Test;

/**
 * How often the interval of an ancestry holds the truth: trees of known descent, drawn from the sheets' own profiles, read
 * as a crew reads them in July, replicates as alike as the sheets say.
 */
class AncestryCoverageTest {
    private static final int TREES = 2000;
    private static final double USUAL = 1.644854;

    @Test
    void a_pure_parent_is_hardly_ever_taken_for_part_hybrid() {
        assertThat(coverage(0)).as("pure first parents").isGreaterThanOrEqualTo(0.95);
        assertThat(coverage(1)).as("pure second parents").isGreaterThanOrEqualTo(0.95);
    }

    @Test
    void a_backcross_is_mostly_within_the_interval() {
        assertThat(coverage(0.25)).as("towards the first parent").isGreaterThanOrEqualTo(0.80);
        assertThat(coverage(0.75)).as("towards the second parent").isGreaterThanOrEqualTo(0.80);
    }

    /** The share of trees of a descent whose interval holds it, over every hybrid of the built-in sheets. */
    private static double coverage(double share) {
        Random random = new Random(11);
        List<Hybrid> hybrids = hybrids();
        int held = 0;
        for (int tree = 0; tree < TREES; tree++) {
            Hybrid hybrid = hybrids.get(tree % hybrids.size());
            Ancestry found = hybrid.ancestry(share, random);
            held += found.low() <= share && share <= found.high() ? 1 : 0;
        }
        return (double) held / TREES;
    }

    private static List<Hybrid> hybrids() {
        List<Hybrid> all = new ArrayList<>();
        for (String group : BuiltInLibrary.GROUPS) {
            GroupModel model = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText(group)));
            for (Taxon taxon : model.sheet().taxa()) {
                if (taxon.isHybrid()) {
                    all.add(new Hybrid(model, taxon));
                }
            }
        }
        return all;
    }

    private record Hybrid(GroupModel model, Taxon taxon) {
        Ancestry ancestry(double share, Random random) {
            Context july = new Context(
                    7, LifeStage.MATURE, TreeOrigin.WILD, Set.of(), Optional.empty(), Optional.empty(), Map.of());
            List<Observation> readings = new ArrayList<>();
            for (int c = 0; c < model.sheet().characters().size(); c++) {
                DiagnosticCharacter character = model.sheet().characters().get(c);
                if (character.trust().months().contains(7) && !character.isSite()) {
                    readings.add(new Reading(
                            character.id(),
                            observed(c, share, random),
                            Certainty.SURE,
                            Optional.empty(),
                            Optional.empty()));
                }
            }
            Evidence evidence = Evidence.of(model.sheet(), july, readings);
            return Ancestry.of(Weighing.of(model, evidence, Optional.empty()).featuresAlone(), taxon);
        }

        private Observed observed(int c, double share, Random random) {
            DiagnosticCharacter character = model.sheet().characters().get(c);
            Parents parents = taxon.parents().orElseThrow();
            int replicates = character.replication().replicates();
            double copied = Math.sqrt(character.replication().likeness());
            if (character.scale() instanceof StateScale scale) {
                int first = model.sheet().taxonIndex(parents.first());
                int second = model.sheet().taxonIndex(parents.second());
                Outcomes outcomes = model.likelihood(c).outcomes();
                int ofTree = draw(outcomes, first, second, share, random);
                List<String> states = new ArrayList<>();
                for (int n = 0; n < replicates; n++) {
                    int seen = random.nextDouble() < copied ? ofTree : draw(outcomes, first, second, share, random);
                    states.add(scale.states().get(seen).id());
                }
                return new StatesObserved(states);
            }
            Range range = range(character, parents.first()).towards(range(character, parents.second()), share);
            double half = (range.usuallyHigh() - range.usuallyLow()) / 2 / USUAL;
            double ofTree = random.nextGaussian() * copied;
            List<Double> values = new ArrayList<>();
            for (int n = 0; n < replicates; n++) {
                double own = random.nextGaussian() * Math.sqrt(1 - copied * copied);
                double value = Math.max(0, range.centre() + (ofTree + own) * half);
                values.add(character.scale().kind().equals("count") ? Math.rint(value) : value);
            }
            return new ValuesObserved(values);
        }

        private Range range(DiagnosticCharacter character, String taxonId) {
            return ((RangeProfile) model.sheet().profile(character, taxonId)).range();
        }
    }

    private static int draw(Outcomes outcomes, int first, int second, double share, Random random) {
        double left = random.nextDouble();
        int x = 0;
        while (x < outcomes.count() - 1) {
            double mass = (1 - share) * outcomes.mass(x, first) + share * outcomes.mass(x, second);
            if (left < mass) {
                return x;
            }
            left -= mass;
            x++;
        }
        return x;
    }
}
