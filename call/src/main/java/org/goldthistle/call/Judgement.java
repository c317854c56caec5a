package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.hybrid.Ancestry;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.Confirmation;
import org.goldthistle.core.verdict.IndexOpinion;
import org.goldthistle.core.verdict.Need;
import org.goldthistle.core.verdict.Reason;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.core.verdict.Verdict;

/**
 * What the evidence carries at its tier; words are codes of {@code docs/model.md}.
 *
 * @param tierAsked what the call was said to be for
 * @param tier that holds, which may be higher
 * @param threshold p*, the share of belief that is asked for
 * @param pointsShort points that the lead lacks for the threshold; 0 or less: none
 * @param decidedOnFeaturesAlone whether the surroundings are left out of the decision
 * @param verdict signable, open or unsettled
 * @param giveaway the taxon that one feature settles; null: silent, as the next two
 * @param quorum the taxon on which enough organs agree
 * @param balance the taxon that reaches the threshold
 * @param reasons why the call is contested; empty: it is not
 * @param stillNeeded conditions that are not met
 * @param sameLeadInBothSchools whether either school of practice would name the same taxon
 * @param confirming characters that would have carried the call by themselves
 * @param pivotal characters without any one of which it would fall
 * @param contrary characters that speak against it
 */
public record Judgement(
        @CodeOf(Tier.class) String tierAsked,
        @CodeOf(Tier.class) String tier,
        double threshold,
        double pointsShort,
        boolean decidedOnFeaturesAlone,
        @CodeOf(Verdict.class) String verdict,
        @Nullable String giveaway,
        @Nullable String quorum,
        @Nullable String balance,
        List<String> reasons,
        List<String> stillNeeded,
        boolean sameLeadInBothSchools,
        List<String> confirming,
        List<String> pivotal,
        List<String> contrary,
        double surprise,
        List<Index> indices,
        List<Descent> ancestries) {

    private static final double MOST_POINTS = 200; // what is certain to the last digit has no finite odds

    public static Judgement of(Assessment assessment, String tierAsked) {
        Confirmation confirmation = assessment.confirmation();
        List<Reason> reasons = assessment.reasons();
        return new Judgement(
                tierAsked,
                assessment.tier().code(),
                assessment.threshold(),
                finite(assessment.pointsShort()),
                assessment.tier().isDecidedOnFeaturesAlone(),
                assessment.verdict().code(),
                idOf(assessment.rules().giveaway()),
                idOf(assessment.rules().quorum()),
                idOf(assessment.rules().balance()),
                reasons.stream().map(Reason::code).toList(),
                assessment.stillNeeded().stream().map(Need::code).toList(),
                reasons.stream().noneMatch(reason -> reason.kind() == Reason.Kind.SCHOOL),
                idsOf(confirmation.confirming()),
                idsOf(confirmation.pivotal()),
                idsOf(confirmation.contrary()),
                assessment.surprise(),
                assessment.indexOpinions().stream().map(Index::of).toList(),
                assessment.ancestries().stream().map(Descent::of).toList());
    }

    /** Points that can be written down. */
    static double finite(double points) {
        return Math.max(-MOST_POINTS, points);
    }

    private static String idOf(Optional<Taxon> taxon) {
        return taxon.map(Taxon::id).orElse(null);
    }

    private static List<String> idsOf(List<WeighedReading> readings) {
        return readings.stream().map(reading -> reading.character().id()).toList();
    }

    /** A published function: its value, and the taxon it comes out for; null while unread or undecided. */
    public record Index(
            String name,
            String source,
            @Nullable Double value,
            @Nullable String speaksFor) {
        static Index of(IndexOpinion opinion) {
            return new Index(
                    opinion.index().name(),
                    opinion.index().source(),
                    opinion.value().orElse(null),
                    idOf(opinion.speaksFor()));
        }
    }

    /**
     * Descent between a hybrid's parents; the share is that of the second.
     *
     * @param pureFirst probability that it is the first parent alone; null, as the next: signed before that was reckoned
     * @param likelyPure the parent that it most likely is alone; null: neither
     */
    public record Descent(
            String hybrid,
            String first,
            String second,
            double mean,
            double low,
            double high,
            @Nullable Double pureFirst,
            @Nullable Double pureSecond,
            @Nullable String likelyPure,
            @Nullable Double index,
            @Nullable Double mosaic) {
        static Descent of(Ancestry ancestry) {
            return new Descent(
                    ancestry.hybrid().id(),
                    ancestry.hybrid().parents().orElseThrow().first(),
                    ancestry.hybrid().parents().orElseThrow().second(),
                    ancestry.mean(),
                    ancestry.low(),
                    ancestry.high(),
                    ancestry.pureFirst(),
                    ancestry.pureSecond(),
                    ancestry.likelyPure().orElse(null),
                    ancestry.index().orElse(null),
                    ancestry.mosaic().orElse(null));
        }
    }
}
