package org.goldthistle.sample;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.goldthistle.ServerTest;
import org.goldthistle.TestLaboratory;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.JointBalance;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.LaboratoryEvidence;
import org.goldthistle.core.laboratory.Tissue;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.formats.LaboratoryJson;
import org.goldthistle.formats.LaboratoryMethods;
import org.goldthistle.formats.LaboratoryResult;
import org.goldthistle.formats.SampleSent;
import org.goldthistle.library.LibraryService;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The laboratory's stand-in, over its own line, against the error rates that it publishes: 2,000 samples of birches. */
class LaboratoryRatesTest extends ServerTest {
    private static final int SAMPLES = 2000;
    private static final int BINS = 10;
    private static final int ENOUGH = 40; // in a bin, to tell anything

    @Autowired
    private LaboratoryLine line;

    @Autowired
    private LibraryService library;

    private final Map<String, Integer> truths = new HashMap<>();
    private GroupSheet sheet;

    @Test
    void it_errs_and_fails_as_often_as_it_says_and_what_is_believed_comes_true() {
        sheet = library.newest("birches").sheet();
        LaboratoryMethods methods = LaboratoryJson.methods(line.methods());
        List<LaboratoryResult> results = sendAll(methods);
        Balance unread = unread();
        Map<Analysis, int[]> wrong = new HashMap<>();
        double[] believed = new double[BINS];
        int[] came = new int[BINS];
        int[] trees = new int[BINS];
        int failed = 0;
        int known = 0;
        for (LaboratoryResult result : results) {
            int truth = truths.get(result.sample());
            known += truth < sheet.taxa().size() ? 1 : 0;
            if (result.finding().isEmpty()) {
                failed += truth < sheet.taxa().size() ? 1 : 0; // markers of other trees tell nothing at all
                continue;
            }
            int[] count = wrong.computeIfAbsent(result.analysis(), any -> new int[2]);
            count[0] += result.finding().get().fits(sheet).contains(truth) ? 0 : 1;
            count[1]++;
            if (result.analysis() == Analysis.PLOIDY) {
                continue; // a number of sets names no taxon, and leaves other trees as likely as those that fit
            }
            double[] logs = new LaboratoryEvidence(
                            result.analysis(),
                            result.finding().get(),
                            methods.errors().get(result.analysis()))
                    .logLikelihood(sheet);
            JointBalance joint = JointBalance.of(List.of(unread)).with(logs);
            for (int k = 0; k <= sheet.taxa().size(); k++) {
                int bin = (int) Math.min(BINS - 1, joint.posterior(k) * BINS);
                believed[bin] += joint.posterior(k);
                came[bin] += k == truth ? 1 : 0;
                trees[bin]++;
            }
        }
        assertThat((double) failed / known).isCloseTo(0.06, within(4 * Math.sqrt(0.06 * 0.94 / known)));
        wrong.forEach((analysis, count) -> {
            double error = methods.errors().get(analysis);
            assertThat((double) count[0] / count[1])
                    .as("%s errs", analysis)
                    .isCloseTo(error, within(4 * Math.sqrt(error * (1 - error) / count[1])));
        });
        for (int bin = 0; bin < BINS; bin++) {
            if (trees[bin] >= ENOUGH) {
                double mean = believed[bin] / trees[bin];
                double noise = Math.sqrt(mean * (1 - mean) / trees[bin]);
                assertThat((double) came[bin] / trees[bin])
                        .as("of what is believed at %.2f", mean)
                        .isCloseTo(mean, within(4 * noise + 0.01));
            }
        }
    }

    /** Samples of trees that are drawn as the sheet expects them, in parcels of a hundred. */
    private List<LaboratoryResult> sendAll(LaboratoryMethods methods) {
        Random random = new Random(5);
        Balance prior = unread();
        List<String> names = sheet.taxa().stream()
                .map(taxon -> taxon.name().scientificName())
                .toList();
        List<String> parents = Samples.hybrid(sheet, Optional.empty())
                .flatMap(hybrid -> hybrid.parents())
                .map(two -> List.of(scientific(two.first()), scientific(two.second())))
                .orElseThrow();
        long before = line.resultsAfter(0).stream()
                .mapToLong(LaboratoryJson.Numbered::number)
                .max()
                .orElse(0);
        ObjectNode bags = new ObjectMapper().createObjectNode();
        List<SampleSent> samples = new ArrayList<>();
        for (int i = 0; i < SAMPLES; i++) {
            int truth = drawn(prior, random);
            String label = "RATE-" + i;
            truths.put(label, truth);
            bags.put(label, truth < names.size() ? names.get(truth) : "Carpinus betulus");
            Analysis analysis = Analysis.values()[i % Analysis.values().length];
            samples.add(new SampleSent(label, Tissue.LEAF, "2026-09-14", analysis, names, parents));
        }
        line.bring(bags.toString());
        for (int from = 0; from < SAMPLES; from += 100) {
            line.announce("RATES-" + from, samples.subList(from, from + 100));
        }
        later(TestLaboratory.TAKES);
        return line.resultsAfter(before).stream()
                .map(message -> LaboratoryJson.result(message.text(), methods))
                .filter(result -> truths.containsKey(result.sample()))
                .toList();
    }

    private String scientific(String taxon) {
        return sheet.taxon(taxon).orElseThrow().name().scientificName();
    }

    /** One of the sheet's taxa, or none of these, as often as it expects them. */
    private int drawn(Balance prior, Random random) {
        double point = random.nextDouble();
        int k = 0;
        while (k < sheet.taxa().size() && (point -= prior.posterior(k)) > 0) {
            k++;
        }
        return k;
    }

    private Balance unread() {
        Context context = new Context(
                7, LifeStage.MATURE, TreeOrigin.UNKNOWN, Set.of(), Optional.empty(), Optional.empty(), Map.of());
        return Weighing.of(library.newest("birches").model(), Evidence.of(sheet, context, List.of()), Optional.empty())
                .featuresAlone();
    }
}
