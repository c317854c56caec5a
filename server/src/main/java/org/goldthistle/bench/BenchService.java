package org.goldthistle.bench;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.CallView;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.NewReading;
import org.goldthistle.core.plan.SeasonOutlook;
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
        this.sights = sights;
        this.clock = clock;
    }

    /** A tree as one observer's Bench shows it. */
    @Transactional
    BenchDto bench(TreeOfObserver of) {
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), of.observerId());
        CallInHand call = calls.of(tree, of.observerId());
        TreeSignatures.Beside beside = signatures.beside(tree, of.observerId(), call);
        return laidOut(tree, of.observerId(), call, call.assessment(beside.onRecord()), beside);
    }

    @Transactional
    BenchDto changeCircumstances(TreeOfObserver of, Circumstances circumstances) {
        return kept(entries.changeCircumstances(of, circumstances));
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
    BenchDto sign(TreeOfObserver of, UUID determinationId, NewDetermination signed) {
        signing.sign(of, determinationId, signed);
        return bench(of);
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
        Assessment assessment = call.assessment(beside.onRecord());
        states.keep(tree, written.call(), assessment);
        return laidOut(tree, observerId, call, assessment, beside);
    }

    private BenchDto laidOut(
            SurveyedTree tree, UUID observerId, CallInHand call, Assessment assessment, TreeSignatures.Beside beside) {
        if (beside.holdsOthers()) {
            sights.shown(observerId, Scope.BENCH, List.of(tree.id()));
        }
        return BenchDto.of(
                tree,
                call,
                CallView.of(call, assessment),
                library.newest(call.sheet().sheet().id()),
                beside,
                new BenchDto.ForObserver(
                        tree.isBlindFor(observerId),
                        !calls.hasReadOther(tree, observerId),
                        aids.of(observerId, call.sheet().sheet().id()),
                        LocalDate.now(clock).getMonthValue()));
    }
}
