package org.goldthistle.call;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.goldthistle.account.AccountService;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.StoredSheet;
import org.goldthistle.platform.Problem;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/** Lays the calls of an observer out as they stand; the services that write hand out what it shows. */
@Component
class Desk {
    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;
    private final PhotoRepository photos;
    private final DeterminationRepository determinations;
    private final MemoryAids aids;
    private final LibraryService library;
    private final AccountService accounts;
    private final Sights sights;
    private final Clock clock;

    Desk(
            CallRepository calls,
            ReadingRepository readings,
            GateRepository gates,
            PhotoRepository photos,
            DeterminationRepository determinations,
            MemoryAids aids,
            LibraryService library,
            AccountService accounts,
            Sights sights,
            Clock clock) {
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
        this.photos = photos;
        this.determinations = determinations;
        this.aids = aids;
        this.library = library;
        this.accounts = accounts;
        this.sights = sights;
        this.clock = clock;
    }

    /** A tree as one observer's Bench shows it. */
    BenchDto bench(SurveyedTree tree, UUID observerId) {
        return bench(tree, observerId, callInHand(tree, observerId), shownTo(tree, observerId));
    }

    /** The same, where the call and what was signed are at hand already. */
    BenchDto bench(SurveyedTree tree, UUID observerId, CallInHand call, List<Determination> signed) {
        if (signed.stream().anyMatch(one -> !one.observerId().equals(observerId))) {
            sights.shown(observerId, Scope.BENCH, List.of(tree.id()));
        }
        StoredSheet newest = library.newest(call.sheet().sheet().id());
        return BenchDto.of(
                tree,
                call,
                newest,
                onRecord(call, observerId, signed),
                dtos(signed),
                new BenchDto.ForObserver(
                        tree.isBlindFor(observerId),
                        signedAs(call, observerId, signed),
                        !calls.hasReadOther(tree.surveyId(), observerId, tree.id()),
                        aids.of(observerId, call.sheet().sheet().id()),
                        LocalDate.now(clock).getMonthValue()));
    }

    /** The observer's own signature that stands and was made of just what counts now; null: there is none. */
    private static @Nullable UUID signedAs(CallInHand call, UUID observerId, List<Determination> newestFirst) {
        return newestFirst.stream()
                .filter(one -> one.observerId().equals(observerId) && !isSuperseded(one, newestFirst))
                .filter(one -> one.snapshot().isOf(call))
                .map(Determination::getId)
                .findFirst()
                .orElse(null);
    }

    /** The call that an observer has in hand on a tree. */
    CallInHand callInHand(SurveyedTree tree, UUID observerId) {
        return begunCall(tree, observerId)
                .map(Begun::inHand)
                .orElseGet(() -> untouched(tree, library.newest(groupOf(tree)), accounts.lacking(observerId)));
    }

    /** The call that an observer has in hand on a tree; empty: they have not touched it. */
    Optional<Begun> begunCall(SurveyedTree tree, UUID observerId) {
        return calls.findInHand(tree.id(), observerId).map(call -> begun(call, tree));
    }

    /** A call of this tree, as it stands. */
    Begun begun(Call call, SurveyedTree tree) {
        return new Begun(call.id(), laidOut(call, tree, accounts.lacking(call.observerId())));
    }

    /** A call that is in the record. */
    record Begun(UUID callId, CallInHand inHand) {}

    /** Sends what was changed to the database, for those who ask it in its own words. */
    void flush() {
        calls.flush();
    }

    /**
     * What is on record of a tree beside an observer's readings.
     *
     * @param signed what they may see of what was signed
     */
    CallRecord onRecord(CallInHand call, UUID observerId, List<Determination> signed) {
        return new CallRecord(
                !call.photos().isEmpty(), Set.of(), isSeconded(call, observerId, signed), standingTaxa(signed));
    }

    /** Whether this observer and another each signed what leads here without having been shown the other's call. */
    boolean isSeconded(CallInHand call, UUID observerId, List<Determination> signed) {
        if (call.tier() != Tier.CONTROL || call.counting().isEmpty()) {
            return false;
        }
        int lead = call.weighing(call.school()).featuresAlone().lead();
        String name = call.sheet().sheet().taxa().get(lead).name().scientificName();
        Map<Boolean, List<Determination>> blindByOwn = signed.stream()
                .filter(Determination::signedBlind)
                .collect(Collectors.partitioningBy(one -> one.observerId().equals(observerId)));
        return standingTaxa(blindByOwn.get(true)).contains(name)
                && standingTaxa(blindByOwn.get(false)).contains(name);
    }

    /** Whether an observer was never shown what others signed for a tree. */
    boolean isBlind(UUID observerId, UUID treeId) {
        return !sights.hasSeen(observerId, treeId);
    }

    /** Whether an observer's passphrase was replaced by somebody's link within the hour. */
    boolean wasResetLately(UUID observerId) {
        return accounts.wasResetLately(observerId);
    }

    /** What an observer may see of what was signed for a tree, the newest first: their own alone where they read blind. */
    List<Determination> shownTo(SurveyedTree tree, UUID observerId) {
        List<Determination> all = signedFor(tree.id());
        return tree.isBlindFor(observerId)
                ? all.stream()
                        .filter(one -> one.observerId().equals(observerId))
                        .toList()
                : all;
    }

    /** What was signed for a tree, the newest first. */
    List<Determination> signedFor(UUID treeId) {
        return determinations.findOnTree(treeId);
    }

    /** The scientific names of the taxa that observers signed last, since ids are those of a sheet. */
    Set<String> standingTaxa(List<Determination> newestFirst) {
        return newestFirst.stream()
                .filter(one -> one.taxonId() != null && !isSuperseded(one, newestFirst))
                .map(one -> library.find(one.snapshot().sheetVersionId())
                        .sheet()
                        .taxon(one.taxonId())
                        .orElseThrow()
                        .name()
                        .scientificName())
                .collect(Collectors.toSet());
    }

    /**
     * The group that the plot says a tree belongs to.
     *
     * @throws Problem if it is plainly one taxon, or another stem bears its call
     */
    static String groupOf(SurveyedTree tree) {
        if (tree.cloneOf() != null) {
            throw Problem.conflict(
                    "stem-of-a-clone",
                    "Tree " + tree.tag() + " is a stem of a clone whose call another stem bears. Nothing was stored;"
                            + " open that stem from the plot.");
        }
        if (tree.groupId() == null) {
            throw Problem.conflict(
                    "plain-tree",
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

    private CallInHand laidOut(Call call, SurveyedTree tree, Set<Faculty> lacking) {
        return new CallInHand(
                library.find(call.sheetVersionId()),
                call.visit(clock.instant(), clock.getZone()),
                call.tier(),
                lacking,
                tree.rules(),
                call.hasReadWoundingCaution(),
                readings.findStanding(call.id()),
                gates.findOfCall(call.id()),
                photos.findKept(call.id()));
    }

    private CallInHand untouched(SurveyedTree tree, StoredSheet sheet, Set<Faculty> lacking) {
        return new CallInHand(
                sheet,
                Visit.first(circumstancesOf(tree, clock.instant())),
                defaultTier(tree),
                lacking,
                tree.rules(),
                false,
                List.of(),
                List.of(),
                List.of());
    }

    /** Signatures as they are shown. */
    List<DeterminationDto> dtos(List<Determination> newestFirst) {
        Map<UUID, String> callSigns = callSigns(newestFirst);
        return newestFirst.stream()
                .map(one -> DeterminationDto.of(
                        one,
                        library.find(one.snapshot().sheetVersionId()),
                        callSigns,
                        isSuperseded(one, newestFirst),
                        clock.getZone()))
                .toList();
    }

    /** Whether the same observer signed the tree again later, or a review settled it since. */
    private static boolean isSuperseded(Determination one, List<Determination> newestFirst) {
        return newestFirst.stream()
                .takeWhile(later -> later != one)
                .anyMatch(later -> later.settles() != null || later.observerId().equals(one.observerId()));
    }

    private Map<UUID, String> callSigns(List<Determination> signed) {
        return accounts.callSigns(signed.stream()
                .flatMap(one -> Stream.concat(Stream.of(one.observerId()), one.alsoBy().stream()))
                .distinct()
                .toList());
    }
}
