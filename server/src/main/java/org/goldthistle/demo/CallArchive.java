package org.goldthistle.demo;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Entry;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.WeighedReading;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Need;
import org.goldthistle.core.verdict.Reason;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.core.verdict.Verdict;
import org.goldthistle.entry.CallsInHand;
import org.goldthistle.entry.EarlierCalls;
import org.goldthistle.photo.EarlierPhotos;
import org.goldthistle.signing.CallStates;
import org.goldthistle.signing.NewDetermination;
import org.goldthistle.signing.SigningService;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts the demo's calls on record, signed as the evidence allowed. */
@Service
class CallArchive {
    private static final int MONTHS = 12;

    private final EarlierCalls earlier;
    private final CallsInHand calls;
    private final SigningService signing;
    private final CallStates states;
    private final TreeService trees;
    private final EarlierPhotos photos;

    CallArchive(
            EarlierCalls earlier,
            CallsInHand calls,
            SigningService signing,
            CallStates states,
            TreeService trees,
            EarlierPhotos photos) {
        this.earlier = earlier;
        this.calls = calls;
        this.signing = signing;
        this.states = states;
        this.trees = trees;
        this.photos = photos;
    }

    /**
     * Puts a call on record. Where it is signed, it is for the lead if the evidence carries that, else to come back in
     * the month in which most can be read, or for the group only where nobody comes back.
     */
    @Transactional
    public void keep(ArchivedCall archived) {
        SurveyedTree tree = trees.tree(archived.surveyId(), archived.treeId(), archived.observerId());
        earlier.keep(
                tree,
                archived.observerId(),
                new EarlierCalls.EarlierCall(
                        archived.begun(),
                        Coded.find(Tier.values(), archived.tier()).orElseThrow(),
                        archived.readings().stream().map(CallArchive::reading).toList()));
        for (ArchivedCall.Shot shot : archived.photos()) {
            UUID call = calls.begun(tree, archived.observerId()).orElseThrow().callId();
            photos.keep(shot.id(), call, shot.character(), shot.content(), archived.begun());
        }
        archived.signed().ifPresent(when -> sign(tree, archived, when));
        states.keepAll(trees.tree(archived.surveyId(), archived.treeId(), archived.observerId()));
    }

    private static NewReading reading(ArchivedCall.Reading one) {
        boolean seen = one.states() != null || one.values() != null;
        return new NewReading(
                one.character(),
                one.states(),
                one.values(),
                !seen,
                null,
                seen ? one.certainty() : null,
                one.material(),
                one.position(),
                null,
                null,
                one.taken());
    }

    private void sign(SurveyedTree tree, ArchivedCall archived, Instant when) {
        CallInHand call = calls.begun(tree, archived.observerId()).orElseThrow().inHand();
        StoredSheet sheet = call.sheet();
        Map<String, String> reasons = new HashMap<>();
        Assessment first = call.assessment(new CallRecord(true, Set.of(), false, Set.of()));
        for (WeighedReading contrary : first.confirmation().contrary()) {
            reasons.put(contrary.character().id(), "Looked at again; the rest of the tree says otherwise.");
        }
        Assessment assessment = call.assessment(new CallRecord(true, reasons.keySet(), false, Set.of()));
        boolean carried = assessment.verdict() == Verdict.SIGNABLE
                && assessment.stillNeeded().stream().allMatch(need -> need.kind() == Need.Kind.SECOND_OBSERVER)
                && assessment.reasons().stream().noneMatch(reason -> reason.kind() == Reason.Kind.GATE);
        boolean comesBack = !carried && archived.mayComeBack();
        Outcome outcome = carried ? Outcome.TAXON : comesBack ? Outcome.COME_BACK : Outcome.GROUP;
        var signed = new NewDetermination(
                outcome.code(),
                carried ? assessment.lead().id() : null,
                comesBack ? fullestMonth(sheet, call.circumstances().month()) : null,
                archived.note(),
                assessment.confirmation().confirming().stream()
                        .map(one -> one.character().id())
                        .toList(),
                carried ? reasons : Map.of(),
                carried ? "twig in the press, tag " + tree.tag() : "",
                call.counting().stream().map(Entry::id).toList());
        signing.signEarlier(tree, archived.observerId(), call, when, signed);
    }

    /** The month ahead in which most of a sheet's characters can be read, the soonest of several. */
    private static int fullestMonth(StoredSheet sheet, int now) {
        int best = now;
        long most = -1;
        for (int ahead = 1; ahead < MONTHS; ahead++) {
            int month = (now - 1 + ahead) % MONTHS + 1;
            long readable = sheet.sheet().characters().stream()
                    .filter(character -> character.trust().months().contains(month))
                    .count();
            if (readable > most) {
                most = readable;
                best = month;
            }
        }
        return best;
    }
}
