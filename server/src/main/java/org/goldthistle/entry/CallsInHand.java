package org.goldthistle.entry;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Circumstances;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.stereotype.Component;

/** Lays the calls of an observer out as they stand. */
@Component
public class CallsInHand {
    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;
    private final PhotosOfCalls photos;
    private final LibraryService library;
    private final AccountService accounts;
    private final Clock clock;

    CallsInHand(
            CallRepository calls,
            ReadingRepository readings,
            GateRepository gates,
            PhotosOfCalls photos,
            LibraryService library,
            AccountService accounts,
            Clock clock) {
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
        this.photos = photos;
        this.library = library;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** The call that an observer has in hand on a tree; as it would begin, where they have not touched it. */
    public CallInHand of(SurveyedTree tree, UUID observerId) {
        return begun(tree, observerId)
                .map(Begun::inHand)
                .orElseGet(() -> untouched(tree, accounts.lacking(observerId)));
    }

    /** The call of a tree that an observer has not touched, as it would begin. */
    public CallInHand untouched(SurveyedTree tree, Set<Faculty> lacking) {
        return CallInHand.untouched(
                library.newest(groupOf(tree)), circumstancesOf(tree, clock.instant()), tree.rules(), lacking);
    }

    /** The call that an observer has in hand on a tree; empty: they have not touched it. */
    public Optional<Begun> begun(SurveyedTree tree, UUID observerId) {
        return calls.findInHand(tree.id(), observerId).map(call -> begun(call, tree));
    }

    /** An observer's calls on a tree in other groups than the one in hand. */
    public List<CallInHand> setAside(SurveyedTree tree, UUID observerId) {
        List<Call> all = calls.findOnTree(tree.id(), observerId);
        return all.size() < 2
                ? List.of()
                : all.subList(1, all.size()).stream()
                        .map(call -> begun(call, tree).inHand())
                        .toList();
    }

    /** A call of this tree, as it stands. */
    Begun begun(Call call, SurveyedTree tree) {
        return begun(call, tree, clock.instant());
    }

    /** The same as it stood for somebody who was at the tree at a time. */
    Begun begun(Call call, SurveyedTree tree, Instant at) {
        return new Begun(call.id(), call.observerId(), laidOut(call, tree, accounts.lacking(call.observerId()), at));
    }

    /** A call that is in the record. */
    public record Begun(UUID callId, UUID observerId, CallInHand inHand) {}

    /** Who has begun a call on a tree. */
    public List<UUID> readersOf(UUID treeId) {
        return calls.findReadersOf(treeId);
    }

    /** Whether a call is that of an observer on a tree. */
    public boolean isTheirs(UUID callId, SurveyedTree tree, UUID observerId) {
        Call call = calls.findById(callId).orElseThrow();
        return call.treeId().equals(tree.id()) && call.observerId().equals(observerId);
    }

    /** Whether an observer has read something of another tree of a survey. */
    public boolean hasReadOther(SurveyedTree tree, UUID observerId) {
        return calls.hasReadOther(tree.surveyId(), observerId, tree.id());
    }

    /** The trees of a plot that an observer has begun or somebody signed. */
    public Set<UUID> touchedIn(UUID plotId, UUID observerId) {
        return calls.findTouched(plotId, observerId);
    }

    /**
     * The group that the plot says a tree belongs to.
     *
     * @throws Problem if it is plainly one taxon, or another stem bears its call
     */
    static String groupOf(SurveyedTree tree) {
        if (tree.cloneOf() != null) {
            throw Problem.conflict(
                    ProblemType.STEM_OF_A_CLONE,
                    "Tree " + tree.tag() + " is a stem of a clone whose call another stem bears. Nothing was stored;"
                            + " open that stem from the plot.");
        }
        if (tree.groupId() == null) {
            throw Problem.conflict(
                    ProblemType.PLAIN_TREE,
                    "Tree " + tree.tag() + " is recorded as a taxon that nobody doubts. Nothing was stored; give it a"
                            + " group in its plot first, then open it here.");
        }
        return tree.groupId();
    }

    /** How a tree stands before its observer says otherwise. */
    Circumstances circumstancesOf(SurveyedTree tree, Instant at) {
        int month = at.atZone(clock.getZone()).getMonthValue();
        return new Circumstances(month, tree.stage(), tree.origin(), tree.habitat());
    }

    /** What a call is for until its observer says otherwise. */
    static Tier defaultTier(SurveyedTree tree) {
        return Coded.find(Tier.values(), tree.rules().defaultTier()).orElseThrow();
    }

    private CallInHand laidOut(Call call, SurveyedTree tree, Set<Faculty> lacking, Instant at) {
        return new CallInHand(
                library.find(call.sheetVersionId()),
                call.visit(at, clock.getZone()),
                call.tier(),
                lacking,
                tree.rules(),
                call.hasReadWoundingCaution(),
                readings.findStanding(call.id()).stream()
                        .map(ReadingEntry::entry)
                        .toList(),
                gates.findOfCall(call.id()).stream().map(GateEntry::marking).toList(),
                photos.of(call.id()));
    }
}
