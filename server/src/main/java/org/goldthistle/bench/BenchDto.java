package org.goldthistle.bench;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.CallView;
import org.goldthistle.call.KeptPhoto;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.signing.DeterminationDto;
import org.goldthistle.signing.TreeSignatures;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.lang.Nullable;

/**
 * A tree as one observer's Bench shows it.
 *
 * @param sheetVersionId of the sheet it is read on
 * @param sheetVersion number of that version
 * @param newerVersion number of the library's newest version of the sheet; null: it is read on the newest
 * @param photos of this observer, in the order in which they came
 * @param call what the readings amount to
 * @param thisMonth the month of today, 1-12; the observer may have said that this visit was in another one
 * @param cautionRead whether the observer has read what wounding this tree means
 * @param determinations of every observer, the newest first; in a blind reading the observer's own alone
 * @param blind whether what others made of the tree is kept from this observer until they sign
 * @param signedAs this observer's signature that stands with just what is read now; null: there is none
 * @param firstTree whether this observer has read no other tree of the survey yet
 * @param memoryAids this observer's own notes, by character
 */
public record BenchDto(
        BenchTree tree,
        UUID sheetVersionId,
        int sheetVersion,
        @Nullable Integer newerVersion,
        List<KeptPhoto> photos,
        @JsonUnwrapped CallView call,
        int thisMonth,
        boolean cautionRead,
        List<DeterminationDto> determinations,
        boolean blind,
        @Nullable UUID signedAs,
        boolean firstTree,
        Map<String, String> memoryAids) {

    /** What is this observer's own beside the call; each part is told above. */
    record ForObserver(boolean blind, boolean firstTree, Map<String, String> memoryAids, int thisMonth) {}

    static BenchDto of(
            SurveyedTree tree,
            CallInHand call,
            CallView view,
            StoredSheet newest,
            TreeSignatures.Beside beside,
            ForObserver own) {
        return new BenchDto(
                BenchTree.of(tree),
                call.sheet().id(),
                call.sheet().version(),
                newest.version() > call.sheet().version() ? newest.version() : null,
                call.photos(),
                view,
                own.thisMonth(),
                call.cautionRead(),
                beside.determinations(),
                own.blind(),
                beside.signedAs(),
                own.firstTree(),
                own.memoryAids());
    }

    /** The tree itself; its group is what the plot says, which the observer may have found otherwise. A clone has stems. */
    record BenchTree(
            UUID id,
            UUID surveyId,
            String surveyName,
            boolean woundingAllowed,
            boolean laboratoryUsed,
            boolean closed,
            UUID plotId,
            String plotCode,
            int tag,
            String groupId,
            int stems,
            int diameterMillimetres) {
        static BenchTree of(SurveyedTree tree) {
            return new BenchTree(
                    tree.id(),
                    tree.surveyId(),
                    tree.surveyName(),
                    tree.rules().woundingAllowed(),
                    tree.rules().laboratoryUsed(),
                    tree.rules().closed(),
                    tree.plotId(),
                    tree.plotCode(),
                    tree.tag(),
                    tree.groupId(),
                    tree.stems(),
                    tree.diameterMillimetres());
        }
    }
}
