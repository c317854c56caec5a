package org.goldthistle.call;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.reading.GateMark;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.StoredSheet;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.Turn;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Records readings and determinations, and reckons what they amount to. Every write may be sent twice. */
@Service
public class CallService {
    /** The same readings always give the same outlook. */
    static final long OUTLOOK_SEED = 1;

    /** What the trail says of a signature. */
    static final String SIGNED = "signed the call";

    private static final String CIRCUMSTANCES = "changed the circumstances";
    private static final String FOR_WHAT = "changed what the call is for";
    private static final String OTHER_GROUP = "took the tree up in another group";
    private static final String OTHER_VERSION = "moved to another version of the sheet";

    /** What the trail says of an observer's work on a tree: with the call itself it is theirs until they sign. */
    static final Set<String> OF_A_CALL = Set.of(CIRCUMSTANCES, FOR_WHAT, OTHER_GROUP, OTHER_VERSION);

    /** A reading that waited in a browser for longer than this counts as this old. */
    private static final Duration LONGEST_HELD_BACK = Duration.ofDays(60);

    private final Desk desk;
    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;
    private final DeterminationRepository determinations;
    private final TreeService trees;
    private final CallStates states;
    private final Signatures signatures;
    private final AuditTrail audit;
    private final LibraryService library;
    private final Clock clock;

    CallService(
            Desk desk,
            CallRepository calls,
            ReadingRepository readings,
            GateRepository gates,
            DeterminationRepository determinations,
            TreeService trees,
            CallStates states,
            Signatures signatures,
            AuditTrail audit,
            LibraryService library,
            Clock clock) {
        this.desk = desk;
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
        this.determinations = determinations;
        this.trees = trees;
        this.states = states;
        this.signatures = signatures;
        this.audit = audit;
        this.library = library;
        this.clock = clock;
    }

    /** A tree as one observer's Bench shows it. */
    @Transactional
    BenchDto bench(TreeOfObserver of) {
        return desk.bench(trees.tree(of.surveyId(), of.treeId(), of.observerId()), of.observerId());
    }

    /** Changes the circumstances of the observer's call. */
    @Transactional
    BenchDto changeCircumstances(TreeOfObserver of, Circumstances circumstances) {
        SurveyedTree tree = openForWriting(of);
        refusedAs("unfit-context", () -> circumstances.toContext(Map.of(), Set.of()));
        Call call = callOf(tree, of.observerId());
        Circumstances before = call.circumstances();
        call.change(circumstances);
        audit.noteChange(of.observerId(), CIRCUMSTANCES, place(tree), before, circumstances);
        return states.keptBench(tree, call);
    }

    /** Changes what the observer's call is for. */
    @Transactional
    BenchDto changeTier(TreeOfObserver of, String tier) {
        SurveyedTree tree = openForWriting(of);
        Tier asked = Coded.find(Tier.values(), tier)
                .orElseThrow(() -> Problem.unfit(
                        "no-such-tier",
                        "A call is for " + Coded.codes(Tier.values()) + ", but \"" + tier + "\" was sent. Nothing was"
                                + " changed."));
        requireUsed(tree, asked);
        Call call = callOf(tree, of.observerId());
        String before = call.tier().code();
        call.changeTier(asked);
        audit.noteChange(of.observerId(), FOR_WHAT, place(tree), before, tier);
        return states.keptBench(tree, call);
    }

    /** Takes the tree up in another group, for this observer alone; what was read in the one before is kept there. */
    @Transactional
    BenchDto changeGroup(TreeOfObserver of, String groupId) {
        SurveyedTree tree = openForWriting(of);
        StoredSheet sheet = library.newest(groupId);
        Call left = callOf(tree, of.observerId()); // opened if need be, so that this group has its record too
        Call taken = calls.findByTreeIdAndObserverIdAndGroupId(tree.id(), of.observerId(), groupId)
                .orElseGet(() -> opened(tree, of.observerId(), sheet, clock.instant()));
        taken.takeUpAfter(left, clock.instant());
        audit.noteChange(of.observerId(), OTHER_GROUP, place(tree), left.groupId(), groupId);
        return states.keptBench(tree, taken);
    }

    /**
     * Goes on with the newest version of the call's sheet; what was signed keeps the version it was signed with.
     *
     * @throws Problem if something that was read does not fit it
     */
    @Transactional
    BenchDto moveToNewest(TreeOfObserver of) {
        SurveyedTree tree = openForWriting(of);
        Call call = callOf(tree, of.observerId());
        StoredSheet newest = library.newest(call.groupId());
        StoredSheet before = library.find(call.sheetVersionId());
        try {
            desk.callInHand(tree, of.observerId()).on(newest).evidence();
        } catch (RefusedException unfit) {
            throw Problem.unfit(
                    "does-not-fit-newer",
                    "Version " + newest.version() + " of the sheet does not know what was read here: "
                            + unfit.getMessage() + ". The call stays on version " + before.version()
                            + ", nothing was changed; withdraw those readings to go on with the newer one.",
                    unfit.refusals());
        }
        call.moveTo(newest);
        audit.noteChange(of.observerId(), OTHER_VERSION, place(tree), before.version(), newest.version());
        return states.keptBench(tree, call);
    }

    /** Notes that the observer has read what wounding this tree means. */
    @Transactional
    BenchDto acknowledgeWounding(TreeOfObserver of) {
        SurveyedTree tree = openForWriting(of);
        Call call = callOf(tree, of.observerId());
        call.acknowledgeWounding(clock.instant());
        return states.keptBench(tree, call);
    }

    /** In which months the tree could be settled, by what the observer has read so far. */
    @Transactional(readOnly = true)
    List<SeasonOutlook.Month> outlook(TreeOfObserver of) {
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), of.observerId());
        return desk.callInHand(tree, of.observerId())
                .assessment(CallRecord.EMPTY)
                .outlook(OUTLOOK_SEED)
                .months();
    }

    /**
     * Records a reading. Sent again with the same id, it changes nothing.
     *
     * @param heldBack how long it waited on the observer's device; a later reading counts before an earlier one,
     *     whichever arrives first
     * @throws Problem if the reading does not fit the sheet, wounds a tree that must not be, or the id belongs to
     *     another reading
     */
    @Transactional
    BenchDto recordReading(TreeOfObserver of, UUID readingId, NewReading reading, Duration heldBack) {
        SurveyedTree tree = openForWriting(of, Turn.alone(Turn.Thing.ENTRY, readingId));
        Instant now = clock.instant();
        Instant readAt = now.minus(heldBack.compareTo(LONGEST_HELD_BACK) > 0 ? LONGEST_HELD_BACK : heldBack);
        Call call = callOf(tree, of.observerId(), readAt);
        Optional<ReadingEntry> known = readings.findById(readingId);
        if (known.isPresent()) {
            requireSame(
                    known.get().callId().equals(call.id())
                            && known.get()
                                    .reading()
                                    .equals(reading.madeIn(null)), // its visit may be an earlier one by now
                    "reading");
        } else {
            StoredSheet sheet = library.find(call.sheetVersionId());
            requireFit(sheet, call.circumstances(), reading);
            requireHarmless(tree, call, sheet, reading);
            int visit = reading.month() == null
                    ? call.visitOf(readAt, clock.getZone())
                    : call.lastVisitIn(reading.month())
                            .orElseThrow(() -> Problem.unfit(
                                    "no-such-visit",
                                    "This tree was not visited in month " + reading.month()
                                            + ", so nothing read then can be corrected. It was not stored; enter it"
                                            + " without a month to read it now."));
            readings.saveAndFlush(new ReadingEntry(readingId, call.id(), visit, reading, readAt, now));
        }
        return states.keptBench(tree, call);
    }

    private static void requireFit(StoredSheet sheet, Circumstances circumstances, NewReading reading) {
        if (!reading.isWithdrawn()) {
            refusedAs(
                    "unfit-reading",
                    () -> CallInHand.evidenceOf(
                            sheet, circumstances, Map.of(), Set.<Faculty>of(), List.of(reading), List.of()));
        } else if (sheet.sheet().character(reading.character()).isEmpty()) {
            throw Problem.unfit(
                    "unfit-reading",
                    "The sheet has no character \"" + reading.character() + "\" to take back. Nothing was changed.");
        }
    }

    private static void requireHarmless(SurveyedTree tree, Call call, StoredSheet sheet, NewReading reading) {
        boolean wounds = sheet.sheet()
                .character(reading.character())
                .filter(character -> character.effort().harm() == Harm.WOUND)
                .isPresent();
        if (!wounds || reading.notSeen() || reading.isWithdrawn()) {
            return;
        }
        if (!tree.rules().woundingAllowed()) {
            throw Problem.unfit(
                    "wounding-off",
                    "This check wounds the tree, and this survey does not allow that. It was not stored; your other"
                            + " readings are kept. Choose another check, or ask your lead.");
        }
        if (!call.hasReadWoundingCaution()) {
            throw Problem.unfit(
                    "caution-unread",
                    "This check wounds the tree. It was not stored; your other readings are kept. Read the caution and"
                            + " say so first, then enter it again.");
        }
    }

    /**
     * Marks a gate item. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if the sheet has no such item, or the id belongs to another mark
     */
    @Transactional
    BenchDto markGate(TreeOfObserver of, UUID markId, String item, String mark) {
        SurveyedTree tree = openForWriting(of, Turn.alone(Turn.Thing.ENTRY, markId));
        Call call = callOf(tree, of.observerId());
        GateEntry.Mark said = GateEntry.Mark.of(mark);
        Optional<GateEntry> known = gates.findById(markId);
        if (known.isPresent()) {
            GateEntry kept = known.get();
            requireSame(kept.callId().equals(call.id()) && kept.itemId().equals(item) && kept.mark() == said, "mark");
        } else {
            StoredSheet sheet = library.find(call.sheetVersionId());
            refusedAs(
                    "unfit-mark",
                    () -> CallInHand.evidenceOf(
                            sheet,
                            call.circumstances(),
                            Map.of(),
                            Set.<Faculty>of(),
                            List.of(),
                            List.of(new GateMark(item, true))));
            gates.saveAndFlush(new GateEntry(markId, call.id(), item, said, clock.instant()));
        }
        return states.keptBench(tree, call);
    }

    /**
     * Signs the observer's call. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if the taxon is not the sheet's, nothing was read, or the readings are not those that were seen
     */
    @Transactional
    BenchDto sign(TreeOfObserver of, UUID determinationId, NewDetermination signed) {
        SurveyedTree tree = openForWriting(
                of,
                Turn.alone(Turn.Thing.TREE, of.treeId()), // what was signed before is seen, and there is one review
                Turn.alone(Turn.Thing.ENTRY, determinationId));
        Optional<Determination> known = determinations.findById(determinationId);
        if (known.isPresent()) {
            requireSame(known.get().isSameAs(of, signed), "determination");
            return states.keptBench(tree, callOf(tree, of.observerId()));
        }
        callOf(tree, of.observerId());
        CallInHand call = desk.callInHand(tree, of.observerId());
        List<Determination> earlier = desk.shownTo(tree, of.observerId());
        Assessment assessment = call.assessment(new CallRecord(
                !signed.voucher().isBlank() || !call.photos().isEmpty(),
                signed.writtenReasons().keySet(),
                desk.isSeconded(call, of.observerId(), earlier),
                desk.standingTaxa(earlier)));
        SigningRules.check(call, assessment, signed);
        determinations.saveAndFlush(new Determination(
                determinationId,
                tree.id(),
                of.observerId(),
                signed,
                Snapshot.of(call, assessment),
                desk.isBlind(of.observerId(), tree.id()),
                desk.wasResetLately(of.observerId()),
                clock.instant()));
        noteSigned(tree, of.observerId(), call, signed);
        signatures.signed(new Signature(tree, of.observerId(), determinationId, clock.instant()));
        return states.keptBenchAndOthers(trees.tree(of.surveyId(), of.treeId(), of.observerId()), of.observerId());
    }

    private void noteSigned(SurveyedTree tree, UUID observerId, CallInHand call, NewDetermination signed) {
        GroupSheet sheet = call.sheet().sheet();
        String name = signed.taxonId() == null
                ? sheet.fallback().commonName()
                : sheet.taxon(signed.taxonId()).orElseThrow().name().commonName();
        trees.stands(tree.id(), signed.outcome(), name, signed.month());
        audit.note(
                Optional.of(observerId), SIGNED, place(tree), null, new Signed(signed.outcome(), name, signed.month()));
    }

    private static void requireUsed(SurveyedTree tree, Tier asked) {
        if (asked == Tier.CONTROL && !tree.rules().controlUsed()) {
            throw Problem.unfit(
                    "control-unused",
                    "This survey plans no control, so its calls are for the tally or the record. Nothing was changed;"
                            + " ask your lead.");
        }
    }

    private static Place place(SurveyedTree tree) {
        return new Place(tree.surveyId(), tree.plotId(), tree.id());
    }

    /** What the trail keeps of a signature. */
    record Signed(String outcome, String name, @Nullable Integer month) {}

    private Call callOf(SurveyedTree tree, UUID observerId) {
        return callOf(tree, observerId, clock.instant());
    }

    /** The call in hand, on the visit that something was done on at a time. */
    private Call callOf(SurveyedTree tree, UUID observerId, Instant at) {
        Call call = calls.findInHand(tree.id(), observerId)
                .orElseGet(() -> opened(tree, observerId, library.newest(Desk.groupOf(tree)), at));
        call.goOn(at, clock.getZone());
        return call;
    }

    private Call opened(SurveyedTree tree, UUID observerId, StoredSheet sheet, Instant at) {
        return calls.save(
                new Call(tree.id(), observerId, sheet, desk.circumstancesOf(tree, at), Desk.defaultTier(tree), at));
    }

    /** An observer's call that is about to be written to. */
    Call openCall(TreeOfObserver of, UUID entryId) {
        return callOf(openForWriting(of, Turn.alone(Turn.Thing.ENTRY, entryId)), of.observerId());
    }

    /** One observer's writes on one tree come one after the other, so that a request sent twice is seen to be so. */
    private SurveyedTree openForWriting(TreeOfObserver of, Turn... more) {
        Turn[] all = Arrays.copyOf(more, more.length + 1);
        all[more.length] = Turn.alone(Turn.Thing.CALL, of.treeId(), of.observerId());
        return trees.openForWriting(of.surveyId(), of.treeId(), of.observerId(), all);
    }

    static void requireSame(boolean same, String what) {
        if (!same) {
            throw Problem.conflict(
                    "id-taken",
                    "The id of this " + what + " belongs to another one, which was kept as it is. Send this one under"
                            + " a new id.");
        }
    }

    private static void refusedAs(String type, Runnable check) {
        try {
            check.run();
        } catch (RefusedException refused) {
            throw Problem.unfit(type, refused);
        }
    }
}
