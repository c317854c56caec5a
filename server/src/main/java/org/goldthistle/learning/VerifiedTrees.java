package org.goldthistle.learning;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.library.LibraryService;
import org.goldthistle.review.Verifications;
import org.goldthistle.sample.Laboratory;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Component;

/** The trees of a survey whose taxon is known. */
@Component
public class VerifiedTrees {
    private final Verifications verifications;
    private final Laboratory laboratory;
    private final TreeService trees;
    private final LibraryService library;

    VerifiedTrees(Verifications verifications, Laboratory laboratory, TreeService trees, LibraryService library) {
        this.verifications = verifications;
        this.laboratory = laboratory;
        this.trees = trees;
        this.library = library;
    }

    /** What a lead marked, and the trees that a laboratory made certain and that the observer is not to read blind. */
    public List<Verifications.Verified> of(UUID surveyId, UUID observerId) {
        List<Verifications.Verified> all = new ArrayList<>(verifications.of(surveyId));
        Set<UUID> marked = all.stream().map(Verifications.Verified::treeId).collect(Collectors.toSet());
        for (Laboratory.Certain tree : laboratory.of(surveyId)) {
            GroupSheet sheet = library.newest(tree.groupId()).sheet();
            OptionalInt taxon = tree.taxon(sheet);
            boolean blind = trees.tree(tree.treeId()).isBlindFor(observerId);
            if (taxon.isPresent() && !blind && !marked.contains(tree.treeId())) {
                all.add(new Verifications.Verified(
                        null,
                        tree.treeId(),
                        tree.plotCode(),
                        tree.tag(),
                        tree.groupId(),
                        sheet.taxa().get(taxon.getAsInt()).id()));
            }
        }
        return all;
    }
}
