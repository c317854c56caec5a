package org.goldthistle.call;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.goldthistle.core.hybrid.Ancestry;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.library.StoredSheet;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.lang.Nullable;

/**
 * A tree as one observer's Bench shows it.
 *
 * @param sheetVersionId of the sheet it is read on
 * @param sheetVersion number of that version
 * @param newerVersion number of the library's newest version of the sheet; null: it is read on the newest
 * @param gate marks of what every member of the group shares
 * @param readings of this observer that count, in the order of reading
 * @param photos of this observer, in the order in which they came
 * @param figures what the readings amount to
 * @param views the same, with and without the surroundings, under the sheet's weights and each school's
 * @param judgement what they carry at the call's tier
 * @param ancestryCurves how likely each descent is, one for each hybrid of the sheet
 * @param thistle the call at a glance
 * @param suggested the checks that are still worth making today, the best first
 * @param outOfSeason ids of the characters that cannot be read in this month
 * @param dulled ids of the characters that count a quarter, since the observer lacks what they ask for
 * @param cautionRead whether the observer has read what wounding this tree means
 * @param determinations of every observer, the newest first; in a blind reading the observer's own alone
 * @param blind whether what others made of the tree is kept from this observer until they sign
 * @param memoryAids this observer's own notes, by character
 */
record BenchDto(
        BenchTree tree,
        UUID sheetVersionId,
        int sheetVersion,
        @Nullable Integer newerVersion,
        Circumstances circumstances,
        List<GateMarkDto> gate,
        List<ReadingDto> readings,
        List<KeptPhoto> photos,
        Figures figures,
        List<View> views,
        Judgement judgement,
        List<CurveDto> ancestryCurves,
        ThistleDto thistle,
        List<SuggestedCheck> suggested,
        List<String> outOfSeason,
        List<String> dulled,
        boolean cautionRead,
        List<DeterminationDto> determinations,
        boolean blind,
        Map<String, String> memoryAids) {

    static BenchDto of(
            SurveyedTree tree,
            CallInHand call,
            StoredSheet newest,
            CallRecord onRecord,
            List<DeterminationDto> determinations,
            boolean blind,
            Map<String, String> memoryAids) {
        Assessment assessment = call.assessment(onRecord);
        List<DiagnosticCharacter> characters = call.sheet().sheet().characters();
        return new BenchDto(
                BenchTree.of(tree),
                call.sheet().id(),
                call.sheet().version(),
                newest.version() > call.sheet().version() ? newest.version() : null,
                call.circumstances(),
                call.gate().stream().map(GateMarkDto::of).toList(),
                call.counting().stream().map(ReadingDto::of).toList(),
                call.photos(),
                Figures.of(assessment),
                View.all(call),
                Judgement.of(assessment, call.tier().code()),
                assessment.ancestries().stream().map(CurveDto::of).toList(),
                ThistleDto.of(assessment),
                NextChecks.suggested(assessment.offered()).stream()
                        .map(SuggestedCheck::of)
                        .toList(),
                characters.stream()
                        .filter(one -> !one.trust()
                                .months()
                                .contains(call.circumstances().month()))
                        .map(DiagnosticCharacter::id)
                        .toList(),
                characters.stream()
                        .filter(one -> call.lacking().stream().anyMatch(one.effort()::needs))
                        .map(DiagnosticCharacter::id)
                        .toList(),
                call.cautionRead(),
                determinations,
                blind,
                memoryAids);
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

    /** The probability of each share of the second parent in a tree, from 0 by hundredths to 1. */
    record CurveDto(String hybrid, List<Double> probabilities) {
        static CurveDto of(Ancestry ancestry) {
            return new CurveDto(ancestry.hybrid().id(), ancestry.curve());
        }
    }

    /** A gate item, and whether the tree fits it. */
    record GateMarkDto(String item, boolean fits) {
        static GateMarkDto of(GateMark mark) {
            return new GateMarkDto(mark.item(), mark.fits());
        }
    }

    /** A reading in the record. */
    record ReadingDto(UUID id, NewReading reading, Instant recordedAt) {
        static ReadingDto of(ReadingEntry entry) {
            return new ReadingDto(entry.getId(), entry.reading(), entry.recordedAt());
        }
    }
}
