package org.goldthistle.control;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.call.CaseReason;
import org.goldthistle.call.LookAsked;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.control.LastLook;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Sha256;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.review.Doubts;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of trees before they are cut, and after. Every write may be sent twice. */
@Service
class ControlService {
    private final ControlList list;
    private final ControlTrees controlTrees;
    private final Approvals approvals;
    private final LastLooks looks;
    private final Works works;
    private final TreeService trees;
    private final SurveyService surveys;
    private final Doubts doubts;
    private final Sights sights;
    private final AuditTrail audit;
    private final Turns turns;
    private final KeptJson json;
    private final Clock clock;

    ControlService(
            ControlList list,
            ControlTrees controlTrees,
            Approvals approvals,
            LastLooks looks,
            Works works,
            TreeService trees,
            SurveyService surveys,
            Doubts doubts,
            Sights sights,
            AuditTrail audit,
            Turns turns,
            KeptJson json,
            Clock clock) {
        this.list = list;
        this.controlTrees = controlTrees;
        this.approvals = approvals;
        this.looks = looks;
        this.works = works;
        this.trees = trees;
        this.surveys = surveys;
        this.doubts = doubts;
        this.sights = sights;
        this.audit = audit;
        this.turns = turns;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Approves a tree for control, or takes that back. Said again, it changes nothing.
     *
     * @throws Problem if it was signed anew meanwhile, something is missing, or the survey is closed
     */
    @Transactional
    public void approve(UUID surveyId, UUID treeId, SignedInObserver lead, UUID id, UUID determinationId, boolean yes) {
        turns.take(
                Turn.beside(Turn.Thing.SURVEY, surveyId),
                Turn.alone(Turn.Thing.TREE, treeId),
                Turn.alone(Turn.Thing.ENTRY, id));
        surveys.requireOpen(surveyId, lead.id());
        Optional<UUID> known = approvals.treeOf(id);
        if (known.isPresent()) {
            requireSame(known.get().equals(treeId));
            return;
        }
        SurveyedTree tree = trees.tree(surveyId, treeId, lead.id());
        Optional<ControlList.Laid> laid = list.find(surveyId, tree, lead);
        boolean approved = laid.filter(ControlList.Laid::isApproved).isPresent();
        if (yes) {
            requireApprovable(laid, determinationId);
        }
        if (approved == yes) {
            return;
        }
        approvals.store(id, surveyId, treeId, determinationId, yes, lead.id());
        audit.note(
                Optional.of(lead.id()),
                yes ? "approved it for control" : "took the approval for control back",
                new Place(surveyId, tree.plotId(), treeId),
                null,
                null);
    }

    private static void requireApprovable(Optional<ControlList.Laid> laid, UUID determinationId) {
        if (laid.isEmpty()) {
            throw Problem.unfit(
                    ProblemType.NOT_FOR_CONTROL,
                    "This tree does not stand as an invasive taxon, or not any more. It was not approved.");
        }
        ControlListDto.ControlTreeDto tree = laid.get().dto();
        if (!tree.determinationId().equals(determinationId)) {
            throw Problem.stale("tree", tree);
        }
        if (!tree.missing().isEmpty()) {
            throw Problem.unfit(
                    ProblemType.NOT_FOR_CONTROL,
                    "Something is missing at this tree: "
                            + tree.missing().get(0).words()
                            + ". It was not approved; it stands further down with all that is missing.");
        }
    }

    /**
     * Keeps a last look at a tree, reckoned again here. Where it speaks against the call, the tree goes back to review.
     *
     * @return what it says
     * @throws Problem if it does not fit the sheet, or the card that it was taken by is from before the sheet changed
     */
    @Transactional
    public LookAsked.LookResult look(UUID surveyId, UUID lookId, SignedInObserver observer, NewLook sent) {
        turns.take(
                Turn.beside(Turn.Thing.SURVEY, surveyId),
                Turn.alone(Turn.Thing.TREE, sent.treeId()),
                Turn.alone(Turn.Thing.ENTRY, lookId));
        surveys.requireOpen(surveyId, observer.id());
        String print = Sha256.of(json.text(sent).getBytes(StandardCharsets.UTF_8));
        Optional<LastLooks.Kept> there = looks.find(lookId);
        if (there.isPresent()) {
            requireSame(there.get().observerId().equals(observer.id())
                    && there.get().sentSha256().equals(print));
            return there.get().result();
        }
        SurveyedTree tree = trees.tree(surveyId, sent.treeId(), observer.id());
        if (!approvals.treeOf(sent.approvalId()).filter(sent.treeId()::equals).isPresent()) {
            throw Problem.missing(
                    ProblemType.NO_SUCH_APPROVAL,
                    "This tree was never approved like that. Nothing was stored. Do not cut it; fetch the cards anew.");
        }
        Optional<ControlList.Laid> onList = list.find(surveyId, tree, observer)
                .filter(one -> sent.approvalId().equals(one.dto().approval().id()) && !one.isGone());
        LookAsked.LookResult result = onList.map(one -> result(one, sent)).orElseGet(LookAsked::notOnList);
        looks.store(lookId, surveyId, sent, observer.id(), sent.sheetVersionId(), result, print);
        audit.note(
                Optional.of(observer.id()),
                "took a last look",
                new Place(surveyId, tree.plotId(), tree.id()),
                null,
                Map.of("verdict", result.verdict(), "reasons", result.reasons()));
        if (onList.isPresent() && result.verdict().equals(LastLook.Verdict.DO_NOT_CUT.code())) {
            doubts.raise(tree, CaseReason.LAST_LOOK, clock.instant());
        }
        return result;
    }

    private LookAsked.LookResult result(ControlList.Laid laid, NewLook sent) {
        if (!laid.stands().newest().id().equals(sent.sheetVersionId())) {
            throw Problem.conflict(
                    ProblemType.LOOK_OUTDATED,
                    "The sheet has a newer version since this card was taken along, so it may ask for something else. What"
                            + " you read is kept on your device. Do not cut; fetch the cards anew and look again.");
        }
        try {
            int month = sent.takenBy(clock.instant()).atZone(ZoneOffset.UTC).getMonthValue();
            return controlTrees
                    .asked(laid.stands(), sent.month())
                    .result(laid.stands().newest(), month, sent.made());
        } catch (RefusedException refused) {
            throw Problem.unfit(ProblemType.UNFIT_LOOK, refused);
        }
    }

    /**
     * Records what was done with a tree.
     *
     * @throws Problem if somebody recorded something else meanwhile, it lies ahead, or the tree was never approved
     */
    @Transactional
    public void work(UUID surveyId, UUID workId, SignedInObserver observer, NewWork sent) {
        turns.take(
                Turn.beside(Turn.Thing.SURVEY, surveyId),
                Turn.alone(Turn.Thing.TREE, sent.treeId()),
                Turn.alone(Turn.Thing.ENTRY, workId));
        surveys.requireOpen(surveyId, observer.id());
        Work what = Coded.find(Work.values(), sent.what())
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.UNFIT_WORK, RefusedException.of("what", sent.what(), Coded.codes(Work.values()))));
        Optional<Works.Kept> there = works.find(workId);
        if (there.isPresent()) {
            requireSame(isSame(there.get(), observer, sent));
            return;
        }
        SurveyedTree tree = trees.tree(surveyId, sent.treeId(), observer.id());
        requireFit(surveyId, sent);
        Optional<Works.Kept> last = works.last(sent.treeId());
        if (!last.map(one -> one.work().id()).equals(Optional.ofNullable(sent.after()))) {
            throw Problem.stale("tree", last.map(Works.Kept::work).orElse(null));
        }
        works.store(workId, surveyId, observer.id(), sent);
        audit.note(
                Optional.of(observer.id()),
                "recorded what was done",
                new Place(surveyId, tree.plotId(), tree.id()),
                null,
                sent);
        if (what == Work.WRONG_TREE) {
            doubts.raise(tree, CaseReason.WRONG_TREE, clock.instant());
        }
    }

    private void requireFit(UUID surveyId, NewWork sent) {
        if (!approvals.of(surveyId).containsKey(sent.treeId())) {
            throw Problem.unfit(
                    ProblemType.NOT_FOR_CONTROL,
                    "This tree was never approved for control. Nothing was recorded; if it was cut all the same, tell your"
                            + " lead.");
        }
        if (sent.doneOn().isAfter(LocalDate.now(clock).plusDays(1))) { // it may be tomorrow already where it was done
            throw Problem.unfit(
                    ProblemType.UNFIT_WORK,
                    RefusedException.of("doneOn", sent.doneOn().toString(), "a day that has come"));
        }
    }

    /**
     * What was said of a tree; nothing where what was made of it is kept from the observer.
     *
     * @throws Problem if the observer does not belong to the survey, or the tree does not
     */
    @Transactional
    public TreeSaidDto said(UUID surveyId, UUID treeId, SignedInObserver observer) {
        SurveyedTree tree = trees.tree(surveyId, treeId, observer.id());
        if (tree.isBlindFor(observer.id())) {
            return new TreeSaidDto(List.of(), List.of());
        }
        sights.shown(observer.id(), Scope.CONTROL, List.of(treeId));
        return new TreeSaidDto(looks.ofTree(treeId), works.ofTree(treeId));
    }

    private static boolean isSame(Works.Kept there, SignedInObserver observer, NewWork sent) {
        return there.observerId().equals(observer.id())
                && there.treeId().equals(sent.treeId())
                && there.work().what().equals(sent.what())
                && there.work().doneOn().equals(sent.doneOn())
                && there.work().note().equals(sent.note().strip());
    }

    private static void requireSame(boolean same) {
        if (!same) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN, "This id belongs to something else. Nothing was changed; send it anew.");
        }
    }
}
