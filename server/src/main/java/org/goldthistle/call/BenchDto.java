package org.goldthistle.call;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.survey.SurveyedTree;

/**
 * A tree as one observer's Bench shows it.
 *
 * @param sheetVersionId of the sheet it is read on
 * @param sheetVersion number of that version
 * @param readings of this observer that count, in the order of entry
 * @param figures what they amount to
 * @param judgement what they carry at the call's tier
 * @param thistle the call at a glance
 * @param suggested the checks that are still worth making today, the best first
 * @param outOfSeason ids of the characters that cannot be read in this month
 * @param determinations of every observer, the newest first
 */
record BenchDto(
        TreeDto tree,
        UUID sheetVersionId,
        int sheetVersion,
        Circumstances circumstances,
        List<ReadingDto> readings,
        Figures figures,
        Judgement judgement,
        ThistleDto thistle,
        List<SuggestedCheck> suggested,
        List<String> outOfSeason,
        List<DeterminationDto> determinations) {

    static BenchDto of(SurveyedTree tree, CallInHand call, CallRecord onRecord, List<DeterminationDto> determinations) {
        Assessment assessment = call.assessment(onRecord);
        return new BenchDto(
                TreeDto.of(tree),
                call.sheet().id(),
                call.sheet().version(),
                call.circumstances(),
                call.counting().stream().map(ReadingDto::of).toList(),
                Figures.of(assessment),
                Judgement.of(assessment, call.tier().code()),
                ThistleDto.of(assessment),
                NextChecks.suggested(assessment.offered()).stream()
                        .map(SuggestedCheck::of)
                        .toList(),
                call.sheet().sheet().characters().stream()
                        .filter(character -> !character
                                .trust()
                                .months()
                                .contains(call.circumstances().month()))
                        .map(DiagnosticCharacter::id)
                        .toList(),
                determinations);
    }

    /** The tree itself. */
    record TreeDto(
            UUID id,
            UUID surveyId,
            String surveyName,
            boolean woundingAllowed,
            String plotCode,
            int tag,
            int diameterMillimetres) {
        static TreeDto of(SurveyedTree tree) {
            return new TreeDto(
                    tree.id(),
                    tree.surveyId(),
                    tree.surveyName(),
                    tree.woundingAllowed(),
                    tree.plotCode(),
                    tree.tag(),
                    tree.diameterMillimetres());
        }
    }

    /** A reading in the record. */
    record ReadingDto(UUID id, NewReading reading, Instant recordedAt) {
        static ReadingDto of(ReadingEntry entry) {
            return new ReadingDto(entry.getId(), entry.reading(), entry.recordedAt());
        }
    }
}
