package org.goldthistle.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.JointBalance;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.Finding;
import org.goldthistle.core.laboratory.LaboratoryEvidence;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.LifeStage;
import org.junit.jupiter.api.Test;

/** What a laboratory's results are worth, and how a sample goes on. */
class LaboratoryEvidenceTest {
    private static final GroupModel BIRCHES = GroupModel.of(GroupSheetJson.read(BuiltInLibrary.sheetText("birches")));
    private static final GroupSheet SHEET = BIRCHES.sheet();
    private static final Map<String, Set<Integer>> SETS =
            Map.of(scientific("pendula"), Set.of(2), scientific("pubescens"), Set.of(4));

    private static String scientific(String taxon) {
        return SHEET.taxon(taxon).orElseThrow().name().scientificName();
    }

    @Test
    void ploidy_fits_what_has_it_what_is_not_listed_and_trees_of_other_kinds() {
        Set<Integer> tetraploid = new Finding.Ploidy(4, 0.03, SETS).fits(SHEET);

        assertThat(tetraploid)
                .contains(SHEET.taxonIndex("pubescens"), SHEET.taxa().size())
                .doesNotContain(SHEET.taxonIndex("pendula"));
        assertThat(tetraploid).hasSize(SHEET.taxa().size());
    }

    @Test
    void a_marker_share_fits_each_class_that_its_interval_touches() {
        int first = SHEET.taxonIndex("pendula");
        int second = SHEET.taxonIndex("pubescens");
        assertThat(markers(0.02, 0, 0.06)).containsExactly(first);
        assertThat(markers(0.97, 0.93, 1)).containsExactly(second);
        assertThat(markers(0.5, 0.4, 0.6)).isNotEmpty().doesNotContain(first, second);
        assertThat(markers(0.12, 0.05, 0.2))
                .contains(first)
                .doesNotContain(second)
                .hasSizeGreaterThan(1);
        assertThatExceptionOfType(RefusedException.class).isThrownBy(() -> markers(0.5, 0.6, 0.7));
    }

    @Test
    void parents_are_known_in_any_case_of_letters_and_in_either_order() {
        Finding turned = new Finding.MarkerShare(
                scientific("pubescens").toUpperCase(), scientific("pendula").toLowerCase(), 0.5, 0.4, 0.6);
        assertThat(turned.fits(SHEET)).isEqualTo(markers(0.5, 0.4, 0.6)).isNotEmpty();
    }

    private static Set<Integer> markers(double share, double low, double high) {
        return new Finding.MarkerShare(scientific("pendula"), scientific("pubescens"), share, low, high).fits(SHEET);
    }

    @Test
    void a_name_that_the_sheet_does_not_have_speaks_for_none_of_these() {
        assertThat(new Finding.Sequenced("Quercus robur", 0.99).fits(SHEET))
                .containsExactly(SHEET.taxa().size());
        assertThat(new Finding.Sequenced(scientific("pendula").toUpperCase(), 0.99).fits(SHEET))
                .containsExactly(SHEET.taxonIndex("pendula"));
    }

    @Test
    void one_result_verifies_only_where_it_names_one_taxon_and_hardly_errs() {
        Finding named = new Finding.Sequenced(scientific("pendula"), 1);
        assertThat(new LaboratoryEvidence(Analysis.SEQUENCE, named, 0.005).verifies(SHEET))
                .isEqualTo(OptionalInt.of(SHEET.taxonIndex("pendula")));
        assertThat(new LaboratoryEvidence(Analysis.SEQUENCE, named, 0.02).verifies(SHEET))
                .isEmpty();
        assertThat(new LaboratoryEvidence(Analysis.PLOIDY, new Finding.Ploidy(4, 0.02, SETS), 0.001).verifies(SHEET))
                .isEmpty();
        assertThatExceptionOfType(RefusedException.class)
                .isThrownBy(() -> new LaboratoryEvidence(Analysis.SEQUENCE, named, 0));
    }

    @Test
    void the_same_analysis_twice_counts_once_and_two_analyses_add_up() {
        var sequence =
                new LaboratoryEvidence(Analysis.SEQUENCE, new Finding.Sequenced(scientific("pubescens"), 1), 0.02);
        var ploidy = new LaboratoryEvidence(Analysis.PLOIDY, new Finding.Ploidy(4, 0.02, SETS), 0.01);
        double[] once = LaboratoryEvidence.together(SHEET, List.of(sequence));
        double[] twice = LaboratoryEvidence.together(SHEET, List.of(sequence, sequence));
        double[] both = LaboratoryEvidence.together(SHEET, List.of(sequence, ploidy));

        assertThat(twice).containsExactly(once, within(1e-12));
        for (int k = 0; k < both.length; k++) {
            assertThat(both[k]).isCloseTo(once[k] + ploidy.logLikelihood(SHEET)[k], within(1e-12));
        }
    }

    /** 2,000 samples whose readings are worth nothing, so that all that is believed comes of the laboratory. */
    @Test
    void what_is_believed_comes_true_as_often_as_the_laboratory_says() {
        Random random = new Random(11);
        double error = 0.08;
        int taxa = SHEET.taxa().size();
        Balance unread = unread();
        double[] believed = new double[10];
        int[] came = new int[10];
        int[] trees = new int[10];
        for (int sample = 0; sample < 2000; sample++) {
            int truth = drawn(unread, random);
            int named = truth;
            if (random.nextDouble() < error) {
                named = (truth + 1 + random.nextInt(taxa)) % (taxa + 1);
            }
            Finding found = new Finding.Sequenced(
                    named == taxa
                            ? "Quercus robur"
                            : SHEET.taxa().get(named).name().scientificName(),
                    1);
            JointBalance joint = JointBalance.of(List.of(unread))
                    .with(new LaboratoryEvidence(Analysis.SEQUENCE, found, error).logLikelihood(SHEET));
            for (int k = 0; k <= taxa; k++) {
                int bin = (int) Math.min(9, joint.posterior(k) * 10);
                believed[bin] += joint.posterior(k);
                came[bin] += k == truth ? 1 : 0;
                trees[bin]++;
            }
        }
        for (int bin = 0; bin < 10; bin++) {
            if (trees[bin] >= 50) {
                double mean = believed[bin] / trees[bin];
                double noise = Math.sqrt(mean * (1 - mean) / trees[bin]);
                assertThat((double) came[bin] / trees[bin]).as("bin %d", bin).isCloseTo(mean, within(4 * noise));
            }
        }
    }

    private static int drawn(Balance prior, Random random) {
        double point = random.nextDouble();
        int k = 0;
        while (k < SHEET.taxa().size() && (point -= prior.posterior(k)) > 0) {
            k++;
        }
        return k;
    }

    private static Balance unread() {
        Context context = new Context(
                7, LifeStage.MATURE, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
        return Weighing.of(BIRCHES, Evidence.of(SHEET, context, List.of()), Optional.empty())
                .featuresAlone();
    }

    @Test
    void a_sample_goes_on_until_it_ends_and_never_back_but_out_of_a_parcel() {
        List<SampleStep> life = new ArrayList<>(List.of(SampleStep.ASKED));
        while (!life.get(life.size() - 1).isEnd()) {
            SampleStep now = life.get(life.size() - 1);
            life.add(now.next().stream()
                    .filter(next -> next.ordinal() > now.ordinal())
                    .findFirst()
                    .orElseThrow());
        }
        assertThat(life)
                .containsExactly(
                        SampleStep.ASKED,
                        SampleStep.TAKEN,
                        SampleStep.PACKED,
                        SampleStep.RECEIVED,
                        SampleStep.ANSWERED,
                        SampleStep.WEIGHED);
        for (SampleStep step : SampleStep.values()) {
            assertThat(step.next().isEmpty()).isEqualTo(step.isEnd());
        }
    }
}
