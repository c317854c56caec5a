package org.goldthistle.call;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.goldthistle.core.balance.Weight;
import org.goldthistle.core.hybrid.Ancestry;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.reading.Unseen;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Condition;
import org.goldthistle.core.verdict.Effect;
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
 * @param readings of this observer that count, in the order of reading; what could not be seen on an earlier visit is
 *     not among them
 * @param photos of this observer, in the order in which they came
 * @param figures what the readings amount to
 * @param views the same, with and without the surroundings, under the sheet's weights and each school's
 * @param judgement what they carry at the call's tier
 * @param conditions of the tier, in the order in which they are ticked off
 * @param missing what is still to be seen on the tree before it can be signed, in words; empty: nothing
 * @param pointsAsked how many points the tier asks for, for the lead against everything else
 * @param pointsToGo points to go to all shares that the tier asks for, whichever is furthest; 0 or less: none
 * @param effects what each reading that the deciding balance weighs does to the call
 * @param thisMonth the month of today, 1-12; the observer may have said that this visit was in another one
 * @param ancestryCurves how likely each descent is, one for each hybrid of the sheet
 * @param thistle the call at a glance
 * @param suggested the checks that are still worth making today, the best first
 * @param outOfSeason ids of the characters that cannot be read in this month
 * @param notAtThisStage ids of those that no tree of this stage bears
 * @param noneOnTree ids of those, not read and open otherwise, that are not asked for, since the tree bears none of
 *     what they are read from
 * @param dulled ids of the characters that count a quarter, since the observer lacks what they ask for
 * @param cautionRead whether the observer has read what wounding this tree means
 * @param determinations of every observer, the newest first; in a blind reading the observer's own alone
 * @param blind whether what others made of the tree is kept from this observer until they sign
 * @param signedAs this observer's signature that stands with just what is read now; null: there is none
 * @param firstTree whether this observer has read no other tree of the survey yet
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
        List<ConditionDto> conditions,
        List<String> missing,
        double pointsAsked,
        double pointsToGo,
        List<EffectDto> effects,
        int thisMonth,
        List<CurveDto> ancestryCurves,
        ThistleDto thistle,
        List<SuggestedCheck> suggested,
        List<String> outOfSeason,
        List<String> notAtThisStage,
        List<String> noneOnTree,
        List<String> dulled,
        boolean cautionRead,
        List<DeterminationDto> determinations,
        boolean blind,
        @Nullable UUID signedAs,
        boolean firstTree,
        Map<String, String> memoryAids) {

    /** What is this observer's own beside the call; each part is told above. */
    record ForObserver(
            boolean blind, @Nullable UUID signedAs, boolean firstTree, Map<String, String> memoryAids, int thisMonth) {}

    static BenchDto of(
            SurveyedTree tree,
            CallInHand call,
            StoredSheet newest,
            CallRecord onRecord,
            List<DeterminationDto> determinations,
            ForObserver own) {
        Assessment assessment = call.assessment(onRecord);
        var words = new ConditionWords(assessment);
        List<DiagnosticCharacter> characters = call.sheet().sheet().characters();
        Context visit = assessment.evidence().context();
        Unseen unseen = assessment.evidence().unseen();
        List<ReadingDto> readings = call.counting().stream()
                .filter(entry -> !call.isToBeLookedForAgain(entry))
                .map(entry -> new ReadingDto(entry.getId(), call.reading(entry), entry.recordedAt()))
                .toList();
        Set<String> read =
                readings.stream().map(one -> one.reading().character()).collect(Collectors.toSet());
        Predicate<DiagnosticCharacter> inSeason = one -> Weight.isInSeason(one, visit.month());
        Predicate<DiagnosticCharacter> atStage = one -> one.borne(visit.stage()) > 0;
        Predicate<DiagnosticCharacter> barren =
                one -> unseen.isBarren(one.organ(), visit.month()) && !read.contains(one.id());
        return new BenchDto(
                BenchTree.of(tree),
                call.sheet().id(),
                call.sheet().version(),
                newest.version() > call.sheet().version() ? newest.version() : null,
                call.circumstances(),
                call.gate().stream().map(GateMarkDto::of).toList(),
                readings,
                call.photos(),
                Figures.of(assessment),
                View.all(call),
                Judgement.of(assessment, call.tier().code()),
                assessment.conditions().stream()
                        .map(condition -> ConditionDto.of(condition, words))
                        .toList(),
                words.allMissing(false).stream()
                        .map(ConditionWords.Missing::words)
                        .toList(),
                assessment.pointsAsked(),
                Judgement.finite(assessment.pointsToGo()),
                assessment.effects().stream().map(EffectDto::of).toList(),
                own.thisMonth(),
                assessment.ancestries().stream().map(CurveDto::of).toList(),
                ThistleDto.of(assessment),
                NextChecks.suggested(assessment.offered()).stream()
                        .map(SuggestedCheck::of)
                        .toList(),
                ids(characters, inSeason.negate()),
                ids(characters, atStage.negate()),
                ids(characters, inSeason.and(atStage).and(barren)),
                ids(characters, one -> visit.lacksFor(one.effort())),
                call.cautionRead(),
                determinations,
                own.blind(),
                own.signedAs(),
                own.firstTree(),
                own.memoryAids());
    }

    private static List<String> ids(List<DiagnosticCharacter> all, Predicate<DiagnosticCharacter> which) {
        return all.stream().filter(which).map(DiagnosticCharacter::id).toList();
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

    /**
     * A condition of the tier.
     *
     * @param code as in {@code docs/model.md}
     * @param asks what it asks for, in words
     * @param missing what is missing of it, in words; null: it is met
     */
    record ConditionDto(
            String code, String asks, boolean met, @Nullable String missing) {
        static ConditionDto of(Condition condition, ConditionWords words) {
            return new ConditionDto(
                    condition.need().code(),
                    words.asks(condition),
                    condition.met(),
                    condition.met() ? null : words.missing(condition));
        }
    }

    /**
     * What a reading does to the call.
     *
     * @param speaksFor the lead or the rival, by its field name
     * @param points how far it speaks for that one against the other, 0 or more
     * @param leadBefore who would lead without it, by its field name; null: the same taxon
     * @param backwards whether it speaks for the lead and yet leaves it further from what is asked for
     * @param gainedMore which taxon gained more then, by its field name; null: none of the sheet's
     */
    record EffectDto(
            String character,
            String speaksFor,
            double points,
            @Nullable String leadBefore,
            boolean backwards,
            @Nullable String gainedMore) {
        static EffectDto of(Effect effect) {
            return new EffectDto(
                    effect.character(),
                    ConditionWords.name(effect.speaksFor()),
                    effect.points(),
                    effect.changesLead() ? ConditionWords.name(effect.leadBefore()) : null,
                    effect.isBackwards(),
                    effect.gainedMore().map(ConditionWords::name).orElse(null));
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
    record ReadingDto(UUID id, NewReading reading, Instant recordedAt) {}
}
