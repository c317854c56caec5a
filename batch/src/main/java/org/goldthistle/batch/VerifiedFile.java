package org.goldthistle.batch;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.learning.VerifiedTree;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenJson;

/** Verified trees in a file of specimens: each of them must have a truth. */
final class VerifiedFile {
    private VerifiedFile() {}

    /**
     * Reads all of them; nothing is learnt from a part of a file.
     *
     * @throws RefusedException with every specimen that has no truth, or a truth or readings that the sheet does not know
     */
    static List<VerifiedTree> read(String file, GroupModel model, Tier tier, Optional<School> school)
            throws IOException {
        List<Refusal> refusals = new ArrayList<>();
        List<VerifiedTree> trees = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Specimen specimen : SpecimenJson.readAll(Files.text(file))) {
            try {
                if (!ids.add(specimen.id())) {
                    throw RefusedException.of("id", "\"" + specimen.id() + "\" twice", "each tree once");
                }
                String truth = specimen.truth()
                        .orElseThrow(() -> RefusedException.of("truth", "nothing", "the id of the tree's taxon"));
                Evidence evidence =
                        Evidence.of(model.sheet(), specimen.context(), specimen.observations(), specimen.gate());
                trees.add(VerifiedTree.of(model, specimen.id(), evidence, truth, tier, school));
            } catch (RefusedException refused) {
                refused.refusals().forEach(one -> refusals.add(one.within(file + ": " + specimen.id())));
            }
        }
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        return trees;
    }
}
