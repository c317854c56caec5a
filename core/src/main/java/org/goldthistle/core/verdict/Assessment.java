package org.goldthistle.core.verdict;

import static org.goldthistle.core.balance.ModelConstants.DECIBANS_PER_NAT;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.balance.ModelConstants;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.hybrid.Ancestry;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.plan.PlanTerms;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.Organ;
import org.goldthistle.core.sheet.Standing;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.core.sheet.Zone;

/**
 * All that the evidence on one tree amounts to, at the tier that it is asked for. The balances, the tier and the
 * conditions are there at once; what takes longer (plan, reasons, outlook …) is reckoned when it is asked for, and the plan
 * is kept: an assessment belongs to one thread.
 */
public final class Assessment {

    private final GroupModel model;
    private final Evidence evidence;
    private final Terms terms;
    private final CallRecord record;
    private final Weighing weighing;
    private final Balance withSurroundings;
    private final Balance featuresAlone;
    private final Tier tier;
    private final double threshold;
    private final Rules rules;
    private final List<Condition> conditions;
    private List<NextCheck> offered; // reckoned when first asked for

    private Assessment(GroupModel model, Evidence evidence, Terms terms, CallRecord record) {
        this.model = model;
        this.evidence = evidence;
        this.terms = terms;
        this.record = record;
        this.weighing = Weighing.of(model, evidence, terms.school());
        this.withSurroundings = weighing.withSurroundings();
        this.featuresAlone = weighing.featuresAlone();
        this.tier = effectiveTier(terms.asked());
        this.threshold = terms.threshold(tier);
        this.rules = Rules.of(deciding(), tier, threshold);
        this.conditions = List.copyOf(conditionsOfTier());
    }

    /** Weighs the evidence on the survey's terms. */
    public static Assessment of(GroupModel model, Evidence evidence, Terms terms, CallRecord record) {
        return new Assessment(model, evidence, terms, record);
    }

    /** A tally of a taxon that matters more than a tally is a record: hybrid, scarce, protected or invasive. */
    private Tier effectiveTier(Tier asked) {
        Taxon lead = model.sheet().taxa().get(withSurroundings.lead());
        return asked == Tier.TALLY && matters(lead) ? Tier.RECORD : asked;
    }

    /** Whether a taxon is a hybrid, scarce, protected or invasive. */
    public static boolean matters(Taxon taxon) {
        return taxon.isHybrid()
                || taxon.standing() == Standing.SCARCE
                || taxon.standing() == Standing.PROTECTED
                || taxon.origin() == TaxonOrigin.INVASIVE;
    }

    /** The model that it was weighed with. */
    public GroupModel model() {
        return model;
    }

    /** What it was weighed from. */
    public Evidence evidence() {
        return evidence;
    }

    /** The readings with their weights, those of the site too. */
    public List<WeighedReading> readings() {
        return weighing.readings();
    }

    /** The balance with the surroundings. */
    public Balance withSurroundings() {
        return withSurroundings;
    }

    /** The balance of features alone. */
    public Balance featuresAlone() {
        return featuresAlone;
    }

    /** The balance that the tier decides on. */
    public Balance deciding() {
        return tier.isDecidedOnFeaturesAlone() ? featuresAlone : withSurroundings;
    }

    /** The tier that holds, which may be higher than the one asked for. */
    public Tier tier() {
        return tier;
    }

    /** p*: the belief in the lead that is asked for. */
    public double threshold() {
        return threshold;
    }

    /**
     * The points by which the lead's odds against everything else fall short of p*; 0 or less when it is reached.
     */
    public double pointsShort() {
        return pointsShort(threshold, deciding().posterior(deciding().lead()));
    }

    /** p* in points: how far the lead's odds against everything else must go. */
    public double pointsAsked() {
        return DECIBANS_PER_NAT * Math.log(threshold / (1 - threshold));
    }

    /** The points by which the odds of a share fall short of those of another. */
    static double pointsShort(double asked, double share) {
        return DECIBANS_PER_NAT * (Math.log(asked / (1 - asked)) - Math.log(share / (1 - share)));
    }

    /**
     * The points still to go to all shares of belief that the tier asks for, whichever is furthest; 0 or less when all
     * are reached.
     */
    public double pointsToGo() {
        double furthest = Double.NEGATIVE_INFINITY;
        for (Condition condition : conditions) {
            if (condition.need().kind().isShare()) {
                furthest = Math.max(
                        furthest,
                        pointsShort(
                                condition.asked().orElseThrow(), condition.now().orElseThrow()));
            }
        }
        return furthest;
    }

    /** What each reading of the deciding balance does to the call, in the order of the readings. */
    public List<Effect> effects() {
        List<Effect> effects = new ArrayList<>();
        for (int j = 0; j < deciding().readings().size(); j++) {
            effects.add(Effect.of(deciding(), j, threshold));
        }
        return effects;
    }

    /** The lead of the deciding balance. */
    public Taxon lead() {
        return model.sheet().taxa().get(deciding().lead());
    }

    /** The three rules on the deciding balance. */
    public Rules rules() {
        return rules;
    }

    /** The summed points of each organ for the lead against the rival. */
    public Map<Organ, Double> organPoints() {
        return Rules.organPoints(deciding());
    }

    /** The tier's conditions, those on the evidence first, each with how far it is met. */
    public List<Condition> conditions() {
        return conditions;
    }

    /** The tier's conditions that are not met yet, those on the evidence first. */
    public List<Need> stillNeeded() {
        return conditions.stream()
                .filter(condition -> !condition.met())
                .map(Condition::need)
                .toList();
    }

    private List<Condition> conditionsOfTier() {
        Balance deciding = deciding();
        List<Condition> all = new ArrayList<>();
        all.add(of(Need.Kind.READING, !evidence.readings().isEmpty()));
        all.add(Condition.share(Need.Kind.THRESHOLD, threshold, deciding.posterior(deciding.lead())));
        if (tier.isDecidedOnFeaturesAlone()) {
            double asFoundHere = withSurroundings.posterior(deciding.lead());
            all.add(Condition.share(Need.Kind.SURROUNDINGS, threshold, asFoundHere));
        }
        if (tier == Tier.TALLY) {
            double alone = featuresAlone.posterior(deciding.lead());
            all.add(Condition.share(Need.Kind.FEATURES_ALONE, ModelConstants.TALLY_FROM_FEATURES, alone));
        } else {
            int supporting = Rules.supporting(deciding).size();
            all.add(Condition.organs(rules.quorum().isPresent(), tier.quorum(), supporting));
        }
        if (tier == Tier.CONTROL) {
            all.add(of(Need.Kind.ZONE, isReadCloseUp()));
        }
        if (tier != Tier.TALLY) {
            all.add(of(Need.Kind.SAME_LEAD, withSurroundings.lead() == featuresAlone.lead()));
        }
        if (tier != Tier.TALLY && !model.sheet().gate().isEmpty()) {
            all.add(of(Need.Kind.GATE, isWholeGateMarked()));
        }
        if (tier == Tier.RECORD) {
            all.add(of(Need.Kind.PHOTO, record.hasPhotoOrVoucher()));
        }
        if (tier == Tier.CONTROL) {
            all.addAll(reasonsWanted());
            all.add(of(Need.Kind.SECOND_OBSERVER, record.secondObserverAgrees()));
        }
        return all;
    }

    private static Condition of(Need.Kind kind, boolean met) {
        return Condition.of(Need.of(kind), met);
    }

    private boolean isWholeGateMarked() {
        return model.sheet().gate().stream().allMatch(item -> evidence.gate().getOrDefault(item.id(), false));
    }

    private boolean isReadCloseUp() {
        for (WeighedReading reading : deciding().readings()) {
            if (reading.weight() > 0 && reading.character().zone().compareTo(Zone.HAND) >= 0) {
                return true;
            }
        }
        return false;
    }

    private List<Condition> reasonsWanted() {
        Balance deciding = deciding();
        List<Condition> wanted = new ArrayList<>();
        for (int j = 0; j < deciding.readings().size(); j++) {
            String character = deciding.readings().get(j).character().id();
            if (deciding.points(j, deciding.lead(), deciding.rival()) <= ModelConstants.WANTS_A_REASON) {
                Need reason = new Need(Need.Kind.REASON, Optional.of(character));
                wanted.add(Condition.of(reason, record.reasoned().contains(character)));
            }
        }
        return wanted;
    }

    /** The ids of the gate items that the tree fails, in the sheet's order. */
    public List<String> failedGateItems() {
        List<String> failed = new ArrayList<>();
        model.sheet().gate().forEach(item -> {
            if (evidence.gate().containsKey(item.id()) && !evidence.gate().get(item.id())) {
                failed.add(item.id());
            }
        });
        return failed;
    }

    /** Whether the evidence carries the call at its tier, without asking what could still be looked at. */
    public boolean isSignable() {
        return failedGateItems().isEmpty()
                && stillNeeded().stream().noneMatch(need -> need.kind().isOnEvidence());
    }

    /** Whether the evidence carries the call. */
    public Verdict verdict() {
        if (!failedGateItems().isEmpty()) {
            return Verdict.UNSETTLED;
        }
        if (isSignable()) {
            return Verdict.SIGNABLE;
        }
        boolean hope = offered().stream().anyMatch(check -> check.chanceToSettle() > ModelConstants.WORTH_GOING_ON);
        return hope ? Verdict.OPEN : Verdict.UNSETTLED;
    }

    /** Every reason why the call is contested; none: it is not. */
    public List<Reason> reasons() {
        return new ContestedReasons(this, terms, record).all();
    }

    /** How strange the readings are even for the lead: the z of section 8. */
    public double surprise() {
        return Unexpectedness.z(deciding());
    }

    /** What the sheet's published functions say. */
    public List<IndexOpinion> indexOpinions() {
        return IndexOpinion.all(model.sheet(), evidence);
    }

    /** Which readings carried the call, and which spoke against it. */
    public Confirmation confirmation() {
        return Confirmation.of(deciding(), threshold);
    }

    /** Every check that is offered, ranked; {@link NextChecks#suggested} is what to show a crew. */
    public List<NextCheck> offered() {
        if (offered == null) {
            offered = NextChecks.offered(deciding(), evidence.context(), planTerms());
        }
        return offered;
    }

    /** In which month the tree can be settled. */
    public SeasonOutlook outlook(long seed) {
        return SeasonOutlook.of(deciding(), evidence.context(), planTerms(), seed);
    }

    private PlanTerms planTerms() {
        return new PlanTerms(
                threshold, terms.school(), terms.mostHarm(), tier == Tier.TALLY, evidence.unseen(), organsWanted());
    }

    /** When p* is reached and only the quorum lacks: the organs that do not support the lead yet. */
    private Set<Organ> organsWanted() {
        List<Need> onEvidence = stillNeeded().stream()
                .filter(need -> need.kind().isOnEvidence())
                .toList();
        if (onEvidence.size() != 1 || onEvidence.get(0).kind() != Need.Kind.QUORUM) {
            return Set.of();
        }
        Set<Organ> wanted = EnumSet.allOf(Organ.class);
        wanted.removeAll(Rules.supporting(deciding()));
        return wanted;
    }

    /** The descent of the tree for each hybrid of the sheet, in its order. */
    public List<Ancestry> ancestries() {
        return model.sheet().taxa().stream()
                .filter(Taxon::isHybrid)
                .map(hybrid -> Ancestry.of(featuresAlone, hybrid))
                .toList();
    }

    /**
     * What is best done now: the first of signing, going on, coming back, the laboratory and the group that fits.
     *
     * @param seed of the season outlook
     */
    public Recommendation recommended(long seed) {
        if (!failedGateItems().isEmpty()) {
            return Recommendation.of(Recommendation.Kind.OTHER_GROUP);
        }
        return switch (verdict()) {
            case SIGNABLE -> Recommendation.sign(lead().id());
            case OPEN -> Recommendation.of(Recommendation.Kind.GO_ON);
            case UNSETTLED ->
                outlook(seed)
                        .firstAfter(evidence.context().month(), ModelConstants.WORTH_COMING_BACK)
                        .map(month -> Recommendation.comeBack(month.month()))
                        .orElseGet(() -> Recommendation.of(
                                mayBeCross() ? Recommendation.Kind.LABORATORY : Recommendation.Kind.FALLBACK));
        };
    }

    /** Whether lead and rival are of one hybrid's family and the ancestry may be half and half. */
    private boolean mayBeCross() {
        String lead = lead().id();
        String rival = model.sheet().taxa().get(deciding().rival()).id();
        return ancestries().stream().anyMatch(ancestry -> {
            Taxon hybrid = ancestry.hybrid();
            Set<String> family = Set.of(
                    hybrid.id(),
                    hybrid.parents().orElseThrow().first(),
                    hybrid.parents().orElseThrow().second());
            return family.contains(lead) && family.contains(rival) && ancestry.mayBeHalf();
        });
    }
}
