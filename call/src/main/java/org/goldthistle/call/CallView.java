package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.balance.Balance;
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
import org.goldthistle.core.verdict.Need;

/**
 * Everything that the Bench shows of a call and that is reckoned from it.
 *
 * @param circumstances in the month of the visit in hand
 * @param gate marks of what every member of the group shares
 * @param readings of this observer that count, in the order of reading; what could not be seen on an earlier visit is
 *     not among them
 * @param figures what the readings amount to
 * @param views the same, with and without the surroundings, under the sheet's weights and each school's
 * @param judgement what they carry at the call's tier
 * @param conditions of the tier, in the order in which they are ticked off
 * @param missing what is still to be seen on the tree before it can be signed, in words; empty: nothing
 * @param gateAllThatLacks whether nothing but the gate keeps it from being signed
 * @param mayConfirm ids of the characters that the observer may say confirmed the call, the strongest first: what speaks
 *     for the lead, and what rules a third taxon out
 * @param pointsAsked how many points the tier asks for, for the lead against everything else
 * @param pointsToGo points to go to all shares that the tier asks for, whichever is furthest; 0 or less: none
 * @param effects what each reading that the deciding balance weighs does to the call
 * @param ancestryCurves how likely each descent is, one for each hybrid of the sheet
 * @param thistle the call at a glance
 * @param suggested the checks that are still worth making today, the best first
 * @param path ids of the characters that can be read on this visit and may be, in the order of the work: from far to near
 * @param notAllowed ids of those that wound the tree, where the survey does not allow that
 * @param outOfSeason ids of the characters that cannot be read in this month
 * @param notAtThisStage ids of those that no tree of this stage bears
 * @param noneOnTree ids of those, not read and open otherwise, that are not asked for, since the tree bears none of
 *     what they are read from
 * @param dulled ids of the characters that count a quarter, since the observer lacks what they ask for
 */
public record CallView(
        Circumstances circumstances,
        List<GateMarkView> gate,
        List<ReadingView> readings,
        Figures figures,
        List<View> views,
        Judgement judgement,
        List<ConditionView> conditions,
        List<String> missing,
        boolean gateAllThatLacks,
        List<String> mayConfirm,
        double pointsAsked,
        double pointsToGo,
        List<EffectView> effects,
        List<Curve> ancestryCurves,
        Thistle thistle,
        List<SuggestedCheck> suggested,
        List<String> path,
        List<String> notAllowed,
        List<String> outOfSeason,
        List<String> notAtThisStage,
        List<String> noneOnTree,
        List<String> dulled) {

    /** @param onRecord what is on record beside the readings */
    public static CallView of(CallInHand call, CallRecord onRecord) {
        return of(call, call.assessment(onRecord));
    }

    /** The same, where the assessment is at hand already. */
    public static CallView of(CallInHand call, Assessment assessment) {
        var words = new ConditionWords(assessment);
        List<DiagnosticCharacter> characters = call.sheet().sheet().characters();
        Context visit = assessment.evidence().context();
        Unseen unseen = assessment.evidence().unseen();
        List<ReadingView> readings = call.counting().stream()
                .filter(entry -> !call.isToBeLookedForAgain(entry))
                .map(entry -> new ReadingView(entry.id(), call.reading(entry), entry.recordedAt()))
                .toList();
        Set<String> read =
                readings.stream().map(one -> one.reading().character()).collect(Collectors.toSet());
        Predicate<DiagnosticCharacter> inSeason = one -> Weight.isInSeason(one, visit.month());
        Predicate<DiagnosticCharacter> atStage = one -> one.borne(visit.stage()) > 0;
        Predicate<DiagnosticCharacter> barren =
                one -> unseen.isBarren(one.organ(), visit.month()) && !read.contains(one.id());
        return new CallView(
                call.circumstances(),
                call.gate().stream().map(GateMarkView::of).toList(),
                readings,
                Figures.of(assessment),
                View.all(call),
                Judgement.of(assessment, call.tier().code()),
                assessment.conditions().stream()
                        .map(condition -> ConditionView.of(condition, words))
                        .toList(),
                words.allMissing(false).stream()
                        .map(ConditionWords.Missing::words)
                        .toList(),
                words.isGateAllThatLacks(),
                mayConfirm(assessment),
                assessment.pointsAsked(),
                Judgement.finite(assessment.pointsToGo()),
                assessment.effects().stream().map(EffectView::of).toList(),
                assessment.ancestries().stream().map(Curve::of).toList(),
                Thistle.of(assessment),
                NextChecks.suggested(assessment.offered()).stream()
                        .map(SuggestedCheck::of)
                        .toList(),
                path(characters, inSeason.and(atStage).and(barren.negate()).and(call::mayBeRead)),
                ids(characters, one -> !call.mayBeRead(one)),
                ids(characters, inSeason.negate()),
                ids(characters, atStage.negate()),
                ids(characters, inSeason.and(atStage).and(barren)),
                ids(characters, one -> visit.lacksFor(one.effort())));
    }

    private static List<String> mayConfirm(Assessment assessment) {
        Balance deciding = assessment.deciding();
        Map<String, Double> points = new HashMap<>();
        for (int j = 0; j < deciding.readings().size(); j++) {
            points.put(
                    deciding.readings().get(j).character().id(), deciding.points(j, deciding.lead(), deciding.rival()));
        }
        Set<String> confirming = assessment.confirmation().confirming().stream()
                .map(one -> one.character().id())
                .collect(Collectors.toSet());
        return points.keySet().stream()
                .filter(id -> points.get(id) > 0 || confirming.contains(id))
                .sorted(Comparator.comparing((String id) -> -points.get(id)).thenComparing(id -> id))
                .toList();
    }

    private static List<String> path(List<DiagnosticCharacter> all, Predicate<DiagnosticCharacter> which) {
        return all.stream()
                .filter(which)
                .sorted(Comparator.comparing(DiagnosticCharacter::zone)) // stable: else in the sheet's order
                .map(DiagnosticCharacter::id)
                .toList();
    }

    private static List<String> ids(List<DiagnosticCharacter> all, Predicate<DiagnosticCharacter> which) {
        return all.stream().filter(which).map(DiagnosticCharacter::id).toList();
    }

    /**
     * A condition of the tier.
     *
     * @param code as in {@code docs/model.md}
     * @param kind of it
     * @param about the character whose reading wants a written reason; null: it is about none
     * @param asks what it asks for, in words
     * @param missing what is missing of it, in words; null: it is met
     */
    public record ConditionView(
            String code,
            @CodeOf(Need.Kind.class) String kind,
            @Nullable String about,
            String asks,
            boolean met,
            @Nullable String missing) {
        static ConditionView of(Condition condition, ConditionWords words) {
            return new ConditionView(
                    condition.need().code(),
                    condition.need().kind().code(),
                    condition.need().about().orElse(null),
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
    public record EffectView(
            String character,
            String speaksFor,
            double points,
            @Nullable String leadBefore,
            boolean backwards,
            @Nullable String gainedMore) {
        static EffectView of(Effect effect) {
            return new EffectView(
                    effect.character(),
                    ConditionWords.name(effect.speaksFor()),
                    effect.points(),
                    effect.changesLead() ? ConditionWords.name(effect.leadBefore()) : null,
                    effect.isBackwards(),
                    effect.gainedMore().map(ConditionWords::name).orElse(null));
        }
    }

    /** The probability of each share of the second parent in a tree, from 0 by hundredths to 1. */
    public record Curve(String hybrid, List<Double> probabilities) {
        static Curve of(Ancestry ancestry) {
            return new Curve(ancestry.hybrid().id(), ancestry.curve());
        }
    }

    /** A gate item, and whether the tree fits it. */
    public record GateMarkView(String item, boolean fits) {
        static GateMarkView of(GateMark mark) {
            return new GateMarkView(mark.item(), mark.fits());
        }
    }

    /** A reading in the record. */
    public record ReadingView(UUID id, NewReading reading, Instant recordedAt) {}
}
