package org.goldthistle.control;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.LookAsked;
import org.goldthistle.call.SignedView;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.control.Clearance;
import org.goldthistle.core.control.LookPlan;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What stands of a tree that is called an invader, and what a last look at it asks for. */
@Component
class ControlTrees {
    private final TreeService trees;
    private final SignedCalls calls;
    private final LibraryService library;
    private final JdbcClient jdbc;

    ControlTrees(TreeService trees, SignedCalls calls, LibraryService library, JdbcClient jdbc) {
        this.trees = trees;
        this.calls = calls;
        this.library = library;
        this.jdbc = jdbc;
    }

    /**
     * A tree as it stands.
     *
     * @param naming the last call of each observer that names the taxon, in the order of their first
     * @param standing what was signed last, by an observer or a review
     * @param newest version of the sheet
     */
    record Stands(
            SurveyedTree tree,
            String taxonId,
            List<SignedCall> naming,
            SignedView standing,
            StoredSheet newest,
            Clearance clearance) {
        /** Whether a lead may approve it, or has, and nothing came in between. */
        boolean isClear() {
            return clearance.isClear();
        }
    }

    /** The trees of a survey whose review is open. */
    Set<UUID> underReview(UUID surveyId) {
        return new HashSet<>(jdbc.sql("select tree_id from review_case where survey_id = ? and state <> 'settled'")
                .param(surveyId)
                .query(UUID.class)
                .list());
    }

    /** A tree whose last call named an invasive taxon. */
    Stands of(ControlStem stem, boolean underReview) {
        SurveyedTree tree = trees.tree(stem.id());
        SignedCalls.OfTree signatures = calls.laidOut(tree);
        List<SignedCall> naming = signatures.last().stream()
                .filter(call -> stem.taxonId().equals(call.determination().taxonId()))
                .toList();
        String groupId = library.find(stem.sheetVersionId()).sheet().id();
        StoredSheet newest = library.newest(groupId);
        List<Clearance.Signed> signed = new ArrayList<>();
        List<Optional<Evidence>> fits = new ArrayList<>();
        for (SignedCall call : naming) {
            signed.add(new Clearance.Signed(
                    call.model(),
                    stem.taxonId(),
                    call.evidence(),
                    terms(tree.rules(), call),
                    Coded.find(Tier.values(), call.tier()).orElseThrow(),
                    call.determination().reasons().keySet(),
                    call.blind()));
            fits.add(on(newest, call));
        }
        return new Stands(
                tree,
                stem.taxonId(),
                naming,
                signatures.all().get(0),
                newest,
                Clearance.of(stem.taxonId(), signed, newest.model(), fits, underReview));
    }

    private static Terms terms(SurveyRules rules, SignedCall call) {
        return new Terms(
                Tier.CONTROL,
                CallInHand.schoolOf(call.school().orElse(null)),
                rules.mostHarm(),
                CallInHand.costs(rules));
    }

    private static Optional<Evidence> on(StoredSheet newest, SignedCall call) {
        try {
            return Optional.of(call.evidence().on(newest.sheet()));
        } catch (RefusedException unfit) {
            return Optional.empty(); // what was read is not known any more
        }
    }

    /** What a last look at a tree asks for in a month; a tree that is clear always has calls that fit the newest sheet. */
    LookAsked asked(Stands stands, int month) {
        Circumstances circumstances = stands.standing().circumstances().inMonth(month);
        List<Weighing> weighed = new ArrayList<>();
        List<Assessment> assessed = new ArrayList<>();
        for (SignedCall call : stands.naming()) {
            Terms terms = terms(stands.tree().rules(), call);
            on(stands.newest(), call).ifPresent(evidence -> {
                weighed.add(Weighing.of(stands.newest().model(), evidence, terms.school()));
                assessed.add(Assessment.of(stands.newest().model(), evidence, terms, CallRecord.EMPTY));
            });
        }
        LookPlan plan = LookPlan.of(
                stands.newest().sheet().taxonIndex(stands.taxonId()),
                weighed,
                LookPlan.pivotal(assessed),
                circumstances.toContext(Map.of(), Set.of()),
                Harm.worst(false));
        return LookAsked.of(
                stands.newest().sheet(),
                plan,
                circumstances,
                CallInHand.costs(stands.tree().rules())
                        .map(costs -> costs.threshold(Tier.CONTROL))
                        .orElse(Tier.CONTROL.threshold()));
    }
}
