package org.goldthistle.core.learning;

import java.util.Optional;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.School;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;

/**
 * A tree whose taxon is known, with what somebody read on it before.
 *
 * @param id of the tree
 * @param evidence one observer's, fit for the sheet
 * @param truth the place of its taxon in the sheet
 * @param featuresAlone whether its call was decided on features alone
 * @param school whose weights it was signed with; empty: the sheet's own
 */
public record VerifiedTree(String id, Evidence evidence, int truth, boolean featuresAlone, Optional<School> school) {

    /**
     * A tree as it is weighed at a tier, which may be raised by what leads.
     *
     * @param truth id of its taxon
     * @throws RefusedException if the sheet has no such taxon
     */
    public static VerifiedTree of(
            GroupModel model, String id, Evidence evidence, String truth, Tier asked, Optional<School> school) {
        int taxon = model.sheet().taxonIndex(truth);
        if (taxon < 0) {
            throw RefusedException.of("truth", "\"" + truth + "\"", "one of " + ids(model.sheet()));
        }
        Tier tier = Assessment.of(model, evidence, Terms.of(asked, school), CallRecord.EMPTY)
                .tier();
        return new VerifiedTree(id, evidence, taxon, tier.isDecidedOnFeaturesAlone(), school);
    }

    private static String ids(GroupSheet sheet) {
        return String.join(", ", sheet.taxa().stream().map(taxon -> taxon.id()).toList());
    }

    /** The same under another id. */
    public VerifiedTree withId(String other) {
        return new VerifiedTree(other, evidence, truth, featuresAlone, school);
    }

    /** What was believed of it when it was signed. */
    public Reliability.Judged judged(GroupModel model) {
        return new Reliability.Judged(id, asSigned(model), truth);
    }

    /** The balance that its call was decided on. */
    Balance asSigned(GroupModel model) {
        return balance(model, school);
    }

    /** The same under the sheet's own weights. */
    Balance balance(GroupModel model) {
        return balance(model, Optional.empty());
    }

    private Balance balance(GroupModel model, Optional<School> whose) {
        Weighing weighing = Weighing.of(model, evidence, whose);
        return featuresAlone ? weighing.featuresAlone() : weighing.withSurroundings();
    }
}
