package org.goldthistle.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.CallState;
import org.goldthistle.call.CallView;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.NewReading;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.entry.CallEntries;
import org.goldthistle.entry.CallsInHand;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.library.LibraryService;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.signing.CallStates;
import org.goldthistle.signing.NewDetermination;
import org.goldthistle.signing.SigningService;
import org.goldthistle.signing.TreeSignatures;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lays a tree out as one observer's Bench shows it, after each thing that they enter too. */
@Service
public class BenchService {
    private final CallsInHand calls;
    private final CallEntries entries;
    private final SigningService signing;
    private final TreeSignatures signatures;
    private final CallStates states;
    private final MemoryAids aids;
    private final TreeService trees;
    private final LibraryService library;
    private final AccountService accounts;
    private final Sights sights;
    private final Clock clock;

    BenchService(
            CallsInHand calls,
            CallEntries entries,
            SigningService signing,
            TreeSignatures signatures,
            CallStates states,
            MemoryAids aids,
            TreeService trees,
            LibraryService library,
            AccountService accounts,
            Sights sights,
            Clock clock) {
        this.calls = calls;
        this.entries = entries;
        this.signing = signing;
        this.signatures = signatures;
        this.states = states;
        this.aids = aids;
        this.trees = trees;
        this.library = library;
        this.accounts = accounts;
        this.sights = sights;
        this.clock = clock;
    }

    /** A tree as one observer's Bench shows it. */
    @Transactional
    BenchDto bench(TreeOfObserver of) {
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), of.observerId());
        CallInHand call = calls.of(tree, of.observerId());
        TreeSignatures.Beside beside = signatures.beside(tree, of.observerId(), call);
        return laidOut(
                tree, of.observerId(), call, call.assessment(beside.onRecord().of(call)), beside);
    }

    @Transactional
    BenchDto changeCircumstances(TreeOfObserver of, Circumstances circumstances, Duration heldBack) {
        return kept(entries.changeCircumstances(of, circumstances, heldBack));
    }

    @Transactional
    BenchDto changeTier(TreeOfObserver of, String tier) {
        return kept(entries.changeTier(of, tier));
    }

    @Transactional
    BenchDto changeGroup(TreeOfObserver of, String groupId) {
        return kept(entries.changeGroup(of, groupId));
    }

    @Transactional
    BenchDto moveToNewest(TreeOfObserver of) {
        return kept(entries.moveToNewest(of));
    }

    @Transactional
    BenchDto acknowledgeWounding(TreeOfObserver of) {
        return kept(entries.acknowledgeWounding(of));
    }

    @Transactional
    BenchDto recordReading(TreeOfObserver of, UUID readingId, NewReading reading, Duration heldBack) {
        return kept(entries.recordReading(of, readingId, reading, heldBack));
    }

    @Transactional
    BenchDto markGate(TreeOfObserver of, UUID markId, String item, String mark) {
        return kept(entries.markGate(of, markId, item, mark));
    }

    @Transactional
    BenchDto sign(TreeOfObserver of, UUID determinationId, NewDetermination signed, Duration heldBack) {
        signing.sign(of, determinationId, signed, heldBack);
        return bench(of);
    }

    /** What is on record of the trees of a plot that have a call, by tag, as one observer's Bench would show it. */
    @Transactional
    public List<BenchRecord> recordsOf(UUID surveyId, UUID plotId, UUID observerId) {
        Set<UUID> touched = calls.touchedIn(plotId, observerId);
        Set<Faculty> lacking = accounts.lacking(observerId);
        Map<String, Map<String, String>> notes = new HashMap<>();
        List<BenchRecord> records = new ArrayList<>();
        List<SurveyedTree> all = trees.withCalls(surveyId, plotId, observerId);
        // the same for every tree that is not touched, so it is asked once
        boolean firstTree = all.stream()
                .filter(tree -> !touched.contains(tree.id()))
                .findFirst()
                .filter(tree -> !calls.hasReadOther(tree, observerId))
                .isPresent();
        for (SurveyedTree tree : all) {
            if (touched.contains(tree.id())) {
                CallInHand call = calls.of(tree, observerId);
                records.add(onRecord(tree, observerId, call, signatures.beside(tree, observerId, call)));
                continue;
            }
            CallInHand call = calls.untouched(tree, lacking);
            String groupId = call.sheet().sheet().id();
            records.add(BenchRecord.untouched(
                    tree,
                    call,
                    tree.isBlindFor(observerId),
                    firstTree,
                    notes.computeIfAbsent(groupId, group -> aids.of(observerId, group)),
                    LocalDate.now(clock)));
        }
        return records;
    }

    /** In which months the tree could be settled, by what the observer has read so far. */
    @Transactional(readOnly = true)
    List<SeasonOutlook.Month> outlook(TreeOfObserver of) {
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), of.observerId());
        return calls.of(tree, of.observerId()).outlook(CallRecord.EMPTY);
    }

    /** The Bench after something was written to its call, whose state is kept with it. */
    @Transactional
    public BenchDto kept(CallEntries.Written written) {
        SurveyedTree tree = written.tree();
        UUID observerId = written.call().observerId();
        CallInHand call = written.call().inHand();
        TreeSignatures.Beside beside = signatures.beside(tree, observerId, call);
        Assessment assessment = call.assessment(beside.onRecord().of(call));
        states.keep(tree, written.call(), assessment);
        return laidOut(tree, observerId, call, assessment, beside);
    }

    private BenchDto laidOut(
            SurveyedTree tree, UUID observerId, CallInHand call, Assessment assessment, TreeSignatures.Beside beside) {
        return new BenchDto(onRecord(tree, observerId, call, beside), CallView.of(call, assessment));
    }

    private BenchRecord onRecord(SurveyedTree tree, UUID observerId, CallInHand call, TreeSignatures.Beside beside) {
        if (beside.holdsOthers()) {
            sights.shown(observerId, Scope.BENCH, List.of(tree.id()));
        }
        int newest = library.newest(call.sheet().sheet().id()).version();
        return new BenchRecord(
                BenchRecord.BenchTree.of(tree),
                call.sheet().id(),
                call.sheet().version(),
                newest > call.sheet().version() ? newest : null,
                CallState.of(call, beside.onRecord()),
                calls.setAside(tree, observerId).stream()
                        .map(other -> CallState.of(other, beside.onRecord()))
                        .toList(),
                LocalDate.now(clock).getMonthValue(),
                beside.determinations(),
                tree.isBlindFor(observerId),
                beside.signedAs(),
                !calls.hasReadOther(tree, observerId),
                aids.of(observerId, call.sheet().sheet().id()));
    }
}
