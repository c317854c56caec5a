package org.goldthistle.call;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.account.AccountService;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.StoredSheet;
import org.goldthistle.platform.Problem;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Records readings and determinations, and reckons what they amount to. Every write may be sent twice. */
@Service
public class CallService {
    /** The same readings always give the same outlook. */
    private static final long OUTLOOK_SEED = 1;

    private final CallRepository calls;
    private final ReadingRepository readings;
    private final DeterminationRepository determinations;
    private final SurveyService surveys;
    private final LibraryService library;
    private final AccountService accounts;
    private final JdbcClient jdbc;
    private final Clock clock;

    CallService(
            CallRepository calls,
            ReadingRepository readings,
            DeterminationRepository determinations,
            SurveyService surveys,
            LibraryService library,
            AccountService accounts,
            JdbcClient jdbc,
            Clock clock) {
        this.calls = calls;
        this.readings = readings;
        this.determinations = determinations;
        this.surveys = surveys;
        this.library = library;
        this.accounts = accounts;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A tree as one observer's Bench shows it. */
    @Transactional(readOnly = true)
    BenchDto bench(TreeOfObserver of) {
        return bench(surveys.tree(of.surveyId(), of.treeId(), of.observerId()), of.observerId());
    }

    /** Changes the circumstances of the observer's call. */
    @Transactional
    BenchDto changeCircumstances(TreeOfObserver of, Circumstances circumstances) {
        SurveyedTree tree = openForWriting(of);
        refusedAs("unfit-context", circumstances::toContext);
        callOf(tree, of.observerId()).change(circumstances);
        return bench(tree, of.observerId());
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
        callOf(tree, of.observerId()).changeTier(asked);
        return bench(tree, of.observerId());
    }

    /** In which months the tree could be settled, by what the observer has read so far. */
    @Transactional(readOnly = true)
    List<SeasonOutlook.Month> outlook(TreeOfObserver of) {
        SurveyedTree tree = surveys.tree(of.surveyId(), of.treeId(), of.observerId());
        return callInHand(tree, of.observerId())
                .assessment(CallRecord.EMPTY)
                .outlook(OUTLOOK_SEED)
                .months();
    }

    /**
     * Records a reading. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if the reading does not fit the sheet, or the id belongs to another reading
     */
    @Transactional
    BenchDto recordReading(TreeOfObserver of, UUID readingId, NewReading reading) {
        SurveyedTree tree = openForWriting(of);
        Call call = callOf(tree, of.observerId());
        Optional<ReadingEntry> known = readings.findById(readingId);
        if (known.isPresent()) {
            requireSame(
                    known.get().callId().equals(call.id())
                            && known.get().reading().equals(reading),
                    "reading");
        } else {
            StoredSheet sheet = library.find(call.sheetVersionId());
            refusedAs("unfit-reading", () -> CallInHand.evidenceOf(sheet, call.circumstances(), List.of(reading)));
            readings.saveAndFlush(new ReadingEntry(readingId, call.id(), reading, clock.instant()));
        }
        return bench(tree, of.observerId());
    }

    /**
     * Signs the observer's call. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if the taxon is not the sheet's, nothing was read, or the readings are not those that were seen
     */
    @Transactional
    BenchDto sign(TreeOfObserver of, UUID determinationId, NewDetermination signed) {
        SurveyedTree tree = openForWriting(of);
        Optional<Determination> known = determinations.findById(determinationId);
        if (known.isPresent()) {
            requireSame(isSame(known.get(), of, signed), "determination");
            return bench(tree, of.observerId());
        }
        CallInHand call = inHand(tree, callOf(tree, of.observerId()));
        List<Determination> earlier = determinations.findByTreeIdInOrderByEntryOrderDesc(List.of(tree.id()));
        Assessment assessment = call.assessment(new CallRecord(
                !signed.voucher().isBlank(), signed.writtenReasons().keySet(), false, standingTaxa(earlier)));
        SigningRules.check(call, assessment, signed);
        Snapshot snapshot = new Snapshot(
                Snapshot.FORMAT,
                call.sheet().id(),
                call.sheet().sha256(),
                call.circumstances(),
                call.counting().stream()
                        .map(entry -> new Snapshot.KeptReading(entry.getId(), entry.reading()))
                        .toList(),
                Figures.of(assessment),
                Judgement.of(assessment, call.tier().code()));
        determinations.saveAndFlush(
                new Determination(determinationId, tree.id(), of.observerId(), signed, snapshot, clock.instant()));
        return bench(tree, of.observerId());
    }

    /** The trees of a survey, each with what the observer made of it and what was signed. */
    @Transactional(readOnly = true)
    List<TreeRowDto> trees(UUID surveyId, UUID observerId) {
        List<SurveyedTree> trees = surveys.trees(surveyId, observerId);
        List<UUID> ids = trees.stream().map(SurveyedTree::id).toList();
        Map<UUID, Call> callByTree = calls.findByObserverIdAndTreeIdIn(observerId, ids).stream()
                .collect(Collectors.toMap(Call::treeId, call -> call));
        Map<UUID, List<ReadingEntry>> entriesByCall =
                readings
                        .findByCallIdInOrderByEntryOrder(
                                callByTree.values().stream().map(Call::id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(ReadingEntry::callId));
        Map<UUID, List<Determination>> signedByTree = determinations.findByTreeIdInOrderByEntryOrderDesc(ids).stream()
                .collect(Collectors.groupingBy(Determination::treeId));
        Map<UUID, String> callSigns =
                callSigns(signedByTree.values().stream().flatMap(List::stream).toList());
        Map<String, StoredSheet> newest = new HashMap<>();
        return trees.stream()
                .map(tree -> {
                    StoredSheet sheet = newest.computeIfAbsent(tree.groupId(), library::newest);
                    Call call = callByTree.get(tree.id());
                    CallInHand mine = call == null
                            ? untouched(tree, sheet)
                            : inHand(tree, call, entriesByCall.getOrDefault(call.id(), List.of()));
                    return TreeRowDto.of(
                            tree, mine, determinationDtos(signedByTree.getOrDefault(tree.id(), List.of()), callSigns));
                })
                .toList();
    }

    private BenchDto bench(SurveyedTree tree, UUID observerId) {
        List<Determination> signed = determinations.findByTreeIdInOrderByEntryOrderDesc(List.of(tree.id()));
        CallRecord onRecord = new CallRecord(false, Set.of(), false, standingTaxa(signed));
        return BenchDto.of(tree, callInHand(tree, observerId), onRecord, determinationDtos(signed, callSigns(signed)));
    }

    private CallInHand callInHand(SurveyedTree tree, UUID observerId) {
        return calls.findByTreeIdAndObserverId(tree.id(), observerId)
                .map(call -> inHand(tree, call))
                .orElseGet(() -> untouched(tree, library.newest(tree.groupId())));
    }

    /** The taxa that observers signed last for a tree. */
    private static Set<String> standingTaxa(List<Determination> newestFirst) {
        return newestFirst.stream()
                .filter(one -> one.taxonId() != null && !isSuperseded(one, newestFirst))
                .map(Determination::taxonId)
                .collect(Collectors.toSet());
    }

    private List<DeterminationDto> determinationDtos(List<Determination> newestFirst, Map<UUID, String> callSigns) {
        return newestFirst.stream()
                .map(one -> DeterminationDto.of(
                        one,
                        library.find(one.snapshot().sheetVersionId()),
                        callSigns.get(one.observerId()),
                        isSuperseded(one, newestFirst)))
                .toList();
    }

    /** Whether the same observer signed the tree again later. */
    private static boolean isSuperseded(Determination one, List<Determination> newestFirst) {
        return newestFirst.stream()
                .takeWhile(later -> later != one)
                .anyMatch(later -> later.observerId().equals(one.observerId()));
    }

    private Map<UUID, String> callSigns(List<Determination> signed) {
        return accounts.callSigns(
                signed.stream().map(Determination::observerId).distinct().toList());
    }

    private CallInHand inHand(SurveyedTree tree, Call call) {
        return inHand(tree, call, readings.findByCallIdInOrderByEntryOrder(List.of(call.id())));
    }

    private CallInHand inHand(SurveyedTree tree, Call call, List<ReadingEntry> entries) {
        return new CallInHand(
                library.find(call.sheetVersionId()),
                call.circumstances(),
                call.tier(),
                tree.woundingAllowed(),
                entries);
    }

    private CallInHand untouched(SurveyedTree tree, StoredSheet sheet) {
        return new CallInHand(sheet, circumstancesOf(tree), Tier.TALLY, tree.woundingAllowed(), List.of());
    }

    private Call callOf(SurveyedTree tree, UUID observerId) {
        return calls.findByTreeIdAndObserverId(tree.id(), observerId)
                .orElseGet(() -> calls.save(new Call(
                        tree.id(),
                        observerId,
                        library.newest(tree.groupId()).id(),
                        circumstancesOf(tree),
                        clock.instant())));
    }

    private Circumstances circumstancesOf(SurveyedTree tree) {
        return new Circumstances(LocalDate.now(clock).getMonthValue(), tree.stage(), tree.origin(), tree.habitat());
    }

    /** One observer's writes on one tree come one after the other, so that a request sent twice is seen to be so. */
    private SurveyedTree openForWriting(TreeOfObserver of) {
        SurveyedTree tree = surveys.tree(of.surveyId(), of.treeId(), of.observerId());
        jdbc.sql("select 1 from pg_advisory_xact_lock(?)")
                .param(lockKey(of.treeId()) * 31 + lockKey(of.observerId()))
                .query(Integer.class)
                .single();
        return tree;
    }

    private static long lockKey(UUID id) {
        return id.getMostSignificantBits() ^ id.getLeastSignificantBits();
    }

    private static boolean isSame(Determination known, TreeOfObserver of, NewDetermination signed) {
        return known.treeId().equals(of.treeId())
                && known.observerId().equals(of.observerId())
                && known.outcome().equals(signed.outcome())
                && Objects.equals(known.taxonId(), signed.taxonId())
                && Objects.equals(known.comeBackMonth(), signed.month())
                && known.note().equals(signed.note());
    }

    private static void requireSame(boolean same, String what) {
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
            throw Problem.unfit(
                    type,
                    "This does not fit: " + refused.getMessage() + ". It was not stored; what was stored before is"
                            + " kept. Correct it and send again.",
                    refused.refusals());
        }
    }
}
