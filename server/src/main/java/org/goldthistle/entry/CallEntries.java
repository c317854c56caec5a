package org.goldthistle.entry;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.call.CallRefusedException;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.EntryRules;
import org.goldthistle.call.Mark;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Settings;
import org.goldthistle.platform.Turn;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Records what observers enter on their calls. Every write may be sent twice. */
@Service
public class CallEntries {
    private static final String CIRCUMSTANCES = "changed the circumstances";
    private static final String FOR_WHAT = "changed what the call is for";
    private static final String OTHER_GROUP = "took the tree up in another group";
    private static final String OTHER_VERSION = "moved to another version of the sheet";

    /** What the trail says of an observer's work on a tree: with the call itself it is theirs until they sign. */
    public static final Set<String> OF_A_CALL = Set.of(CIRCUMSTANCES, FOR_WHAT, OTHER_GROUP, OTHER_VERSION);

    private final CallsInHand inHand;
    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;
    private final TreeService trees;
    private final AuditTrail audit;
    private final LibraryService library;
    private final Duration longestHeldBack;
    private final Clock clock;

    CallEntries(
            CallsInHand inHand,
            CallRepository calls,
            ReadingRepository readings,
            GateRepository gates,
            TreeService trees,
            AuditTrail audit,
            LibraryService library,
            Settings settings,
            Clock clock) {
        this.inHand = inHand;
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
        this.trees = trees;
        this.audit = audit;
        this.library = library;
        this.longestHeldBack = settings.readingsHeldBack();
        this.clock = clock;
    }

    /** A call as it stands after something was written to it. */
    public record Written(SurveyedTree tree, CallsInHand.Begun call) {}

    /** Changes the circumstances of the observer's call, as they were said on their device. */
    @Transactional
    public Written changeCircumstances(TreeOfObserver of, Circumstances circumstances, Duration heldBack) {
        SurveyedTree tree = openForWriting(of);
        EntryRules.requireFit(circumstances);
        Call call = callOf(tree, of.observerId(), timeOf(heldBack, clock.instant()));
        Circumstances before = call.circumstances();
        call.change(circumstances);
        audit.noteChange(of.observerId(), CIRCUMSTANCES, place(tree), before, circumstances);
        return written(tree, call);
    }

    /** Changes what the observer's call is for. */
    @Transactional
    public Written changeTier(TreeOfObserver of, String tier) {
        SurveyedTree tree = openForWriting(of);
        Tier asked = EntryRules.tier(tier, tree.rules());
        Call call = callOf(tree, of.observerId());
        String before = call.tier().code();
        call.changeTier(asked);
        audit.noteChange(of.observerId(), FOR_WHAT, place(tree), before, tier);
        return written(tree, call);
    }

    /** Takes the tree up in another group, for this observer alone; what was read in the one before is kept there. */
    @Transactional
    public Written changeGroup(TreeOfObserver of, String groupId) {
        SurveyedTree tree = openForWriting(of);
        StoredSheet sheet = library.newest(groupId);
        Call left = callOf(tree, of.observerId()); // opened if need be, so that this group has its record too
        Call taken = calls.findByTreeIdAndObserverIdAndGroupId(tree.id(), of.observerId(), groupId)
                .orElseGet(() -> opened(tree, of.observerId(), sheet, clock.instant()));
        taken.takeUpAfter(left, clock.instant());
        audit.noteChange(of.observerId(), OTHER_GROUP, place(tree), left.groupId(), groupId);
        return written(tree, taken);
    }

    /**
     * Goes on with the newest version of the call's sheet; what was signed keeps the version it was signed with.
     *
     * @throws Problem if something that was read does not fit it
     */
    @Transactional
    public Written moveToNewest(TreeOfObserver of) {
        SurveyedTree tree = openForWriting(of);
        Call call = callOf(tree, of.observerId());
        StoredSheet newest = library.newest(call.groupId());
        StoredSheet before = library.find(call.sheetVersionId());
        try {
            inHand.of(tree, of.observerId()).on(newest).evidence();
        } catch (RefusedException unfit) {
            throw Problem.unfit(
                    ProblemType.DOES_NOT_FIT_NEWER,
                    "Version " + newest.version() + " of the sheet does not know what was read here: "
                            + unfit.getMessage() + ". The call stays on version " + before.version()
                            + ", nothing was changed; withdraw those readings to go on with the newer one.",
                    unfit.refusals());
        }
        call.moveTo(newest);
        audit.noteChange(of.observerId(), OTHER_VERSION, place(tree), before.version(), newest.version());
        return written(tree, call);
    }

    /** Notes that the observer has read what wounding this tree means. */
    @Transactional
    public Written acknowledgeWounding(TreeOfObserver of) {
        SurveyedTree tree = openForWriting(of);
        Call call = callOf(tree, of.observerId());
        call.acknowledgeWounding(clock.instant());
        return written(tree, call);
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
    public Written recordReading(TreeOfObserver of, UUID readingId, NewReading reading, Duration heldBack) {
        SurveyedTree tree = openForWriting(of, Turn.alone(Turn.Thing.ENTRY, readingId));
        Instant now = clock.instant();
        Instant readAt = timeOf(heldBack, now);
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
            EntryRules.requireFit(sheet, call.circumstances(), reading);
            EntryRules.requireHarmless(sheet, tree.rules(), call.hasReadWoundingCaution(), reading);
            int visit = reading.month() == null
                    ? call.visitOf(readAt, clock.getZone())
                    : call.lastVisitIn(reading.month())
                            .orElseThrow(() -> CallRefusedException.noVisit(reading.month()));
            readings.saveAndFlush(new ReadingEntry(readingId, call.id(), visit, reading, readAt, now));
        }
        return written(tree, call);
    }

    /**
     * Marks a gate item. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if the sheet has no such item, or the id belongs to another mark
     */
    @Transactional
    public Written markGate(TreeOfObserver of, UUID markId, String item, String mark) {
        SurveyedTree tree = openForWriting(of, Turn.alone(Turn.Thing.ENTRY, markId));
        Call call = callOf(tree, of.observerId());
        Mark said = Mark.of(mark);
        Optional<GateEntry> known = gates.findById(markId);
        if (known.isPresent()) {
            GateEntry kept = known.get();
            requireSame(kept.callId().equals(call.id()) && kept.itemId().equals(item) && kept.mark() == said, "mark");
        } else {
            StoredSheet sheet = library.find(call.sheetVersionId());
            EntryRules.requireGateItem(sheet, call.circumstances(), item);
            gates.saveAndFlush(new GateEntry(markId, call.id(), item, said, clock.instant()));
        }
        return written(tree, call);
    }

    /** When something was entered that waited on a device; what says that it is older than is believed, counts as so old. */
    public Instant timeOf(Duration heldBack, Instant arrived) {
        return arrived.minus(heldBack.compareTo(longestHeldBack) > 0 ? longestHeldBack : heldBack);
    }

    private static Place place(SurveyedTree tree) {
        return new Place(tree.surveyId(), tree.plotId(), tree.id());
    }

    private Call callOf(SurveyedTree tree, UUID observerId) {
        return callOf(tree, observerId, clock.instant());
    }

    /** The call in hand, on the visit that something was done on at a time. */
    private Call callOf(SurveyedTree tree, UUID observerId, Instant at) {
        Call call = calls.findInHand(tree.id(), observerId)
                .orElseGet(() -> opened(tree, observerId, library.newest(CallsInHand.groupOf(tree)), at));
        call.goOn(at, clock.getZone());
        return call;
    }

    private Call opened(SurveyedTree tree, UUID observerId, StoredSheet sheet, Instant at) {
        return calls.save(new Call(
                tree.id(), observerId, sheet, inHand.circumstancesOf(tree, at), CallsInHand.defaultTier(tree), at));
    }

    /**
     * An observer's call that is about to be written to; one observer's writes on one tree come one after the other, so
     * that a request sent twice is seen to be so.
     *
     * @param at when it was done on the observer's device
     * @param more turns to wait for besides
     */
    @Transactional
    public Written open(TreeOfObserver of, Instant at, Turn... more) {
        SurveyedTree tree = openForWriting(of, more);
        Call call = callOf(tree, of.observerId(), at);
        calls.flush();
        return new Written(tree, inHand.begun(call, tree, at));
    }

    /** The same call after something else was written that belongs to it. */
    @Transactional
    public Written again(Written before) {
        return written(before.tree(), calls.findById(before.call().callId()).orElseThrow());
    }

    private Written written(SurveyedTree tree, Call call) {
        calls.flush(); // for those who ask the database in its own words
        return new Written(tree, inHand.begun(call, tree));
    }

    private SurveyedTree openForWriting(TreeOfObserver of, Turn... more) {
        Turn[] all = Arrays.copyOf(more, more.length + 1);
        all[more.length] = Turn.alone(Turn.Thing.CALL, of.treeId(), of.observerId());
        return trees.openForWriting(of.surveyId(), of.treeId(), of.observerId(), all);
    }

    /** @throws Problem unless what came under an id that is known is what is kept under it */
    public static void requireSame(boolean same, String what) {
        if (!same) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN,
                    "The id of this " + what + " belongs to another one, which was kept as it is. Send this one under"
                            + " a new id.");
        }
    }
}
