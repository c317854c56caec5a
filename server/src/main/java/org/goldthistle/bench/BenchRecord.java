package org.goldthistle.bench;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.CallState;
import org.goldthistle.call.OnRecord;
import org.goldthistle.call.SignedView;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.reading.TreeOrigin;
import org.goldthistle.core.sheet.Habitat;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.survey.SurveyedTree;

/**
 * A tree and one observer's work on it as they are on record, before anything is reckoned.
 *
 * @param sheetVersionId of the sheet it is read on
 * @param sheetVersion number of that version
 * @param newerVersion number of the library's newest version of the sheet; null: it is read on the newest
 * @param state of the call in hand
 * @param setAside this observer's calls of the tree in other groups
 * @param thisMonth the month of today, 1-12; the observer may have said that this visit was in another one
 * @param determinations of every observer, the newest first; in a blind reading the observer's own alone
 * @param blind whether what others made of the tree is kept from this observer until they sign
 * @param signedAs this observer's signature that stands with just what is read now; null: there is none
 * @param firstTree whether this observer has read no other tree of the survey yet
 * @param memoryAids this observer's own notes, by character
 */
public record BenchRecord(
        BenchTree tree,
        UUID sheetVersionId,
        int sheetVersion,
        @Nullable Integer newerVersion,
        CallState state,
        List<CallState> setAside,
        int thisMonth,
        List<SignedView> determinations,
        boolean blind,
        @Nullable UUID signedAs,
        boolean firstTree,
        Map<String, String> memoryAids) {

    /** Of a tree that its observer has not begun and nobody has signed. */
    static BenchRecord untouched(
            SurveyedTree tree,
            CallInHand call,
            boolean blind,
            boolean firstTree,
            Map<String, String> memoryAids,
            LocalDate today) {
        return new BenchRecord(
                BenchTree.of(tree),
                call.sheet().id(),
                call.sheet().version(),
                null,
                CallState.of(call, OnRecord.NOTHING),
                List.of(),
                today.getMonthValue(),
                List.of(),
                blind,
                null,
                firstTree,
                memoryAids);
    }

    /**
     * The tree as it was entered; its group is what the plot says, which the observer may have found otherwise. A clone
     * has stems. Stage, origin and habitat are those of a call that is begun on it.
     */
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
            int diameterMillimetres,
            @CodeOf(LifeStage.class) String stage,
            @CodeOf(TreeOrigin.class) String origin,
            @CodeOf(Habitat.class) List<String> habitat) {
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
                    tree.diameterMillimetres(),
                    tree.stage(),
                    tree.origin(),
                    tree.habitat());
        }
    }
}
