package org.goldthistle.call;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.goldthistle.account.AccountService;
import org.goldthistle.core.sheet.Faculty;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.StoredSheet;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.stereotype.Component;

/** Lays the calls of an observer out as they stand; the services that write hand out what it shows. */
@Component
class Desk {
    private final CallRepository calls;
    private final ReadingRepository readings;
    private final GateRepository gates;
    private final PhotoRepository photos;
    private final DeterminationRepository determinations;
    private final SurveyService surveys;
    private final LibraryService library;
    private final AccountService accounts;
    private final Clock clock;

    Desk(
            CallRepository calls,
            ReadingRepository readings,
            GateRepository gates,
            PhotoRepository photos,
            DeterminationRepository determinations,
            SurveyService surveys,
            LibraryService library,
            AccountService accounts,
            Clock clock) {
        this.calls = calls;
        this.readings = readings;
        this.gates = gates;
        this.photos = photos;
        this.determinations = determinations;
        this.surveys = surveys;
        this.library = library;
        this.accounts = accounts;
        this.clock = clock;
    }

    /** A tree as one observer's Bench shows it. */
    BenchDto bench(SurveyedTree tree, UUID observerId) {
        List<Determination> signed = signedFor(List.of(tree.id()));
        CallInHand call = callInHand(tree, observerId);
        CallRecord onRecord = new CallRecord(!call.photos().isEmpty(), Set.of(), false, standingTaxa(signed));
        StoredSheet newest = library.newest(call.sheet().sheet().id());
        return BenchDto.of(tree, call, newest, onRecord, dtos(signed, callSigns(signed)));
    }

    /** The call that an observer has in hand on a tree. */
    CallInHand callInHand(SurveyedTree tree, UUID observerId) {
        Set<Faculty> lacking = accounts.lacking(observerId);
        return calls.findFirstByTreeIdAndObserverIdOrderByTakenUpAtDesc(tree.id(), observerId)
                .map(call ->
                        laidOut(List.of(call), Map.of(tree.id(), tree), lacking).get(call.id()))
                .orElseGet(() -> untouched(tree, library.newest(tree.groupId()), lacking));
    }

    /** The trees of a survey, each with what the observer made of it and what was signed. */
    List<TreeRowDto> trees(UUID surveyId, UUID observerId) {
        List<SurveyedTree> trees = surveys.trees(surveyId, observerId);
        Map<UUID, SurveyedTree> treeById =
                trees.stream().collect(Collectors.toMap(SurveyedTree::id, Function.identity()));
        Set<Faculty> lacking = accounts.lacking(observerId);
        Map<UUID, Call> inHand = new HashMap<>();
        calls.findByObserverIdAndTreeIdInOrderByTakenUpAt(observerId, treeById.keySet())
                .forEach(call -> inHand.put(call.treeId(), call)); // the last one taken up stays
        Map<UUID, CallInHand> byCall = laidOut(inHand.values(), treeById, lacking);
        Map<UUID, List<Determination>> signedByTree =
                signedFor(treeById.keySet()).stream().collect(Collectors.groupingBy(Determination::treeId));
        Map<UUID, String> callSigns =
                callSigns(signedByTree.values().stream().flatMap(List::stream).toList());
        Map<String, StoredSheet> newest = new HashMap<>();
        return trees.stream()
                .map(tree -> {
                    Call call = inHand.get(tree.id());
                    CallInHand mine = call == null
                            ? untouched(tree, newest.computeIfAbsent(tree.groupId(), library::newest), lacking)
                            : byCall.get(call.id());
                    return TreeRowDto.of(tree, mine, dtos(signedByTree.getOrDefault(tree.id(), List.of()), callSigns));
                })
                .toList();
    }

    /** What was signed for trees, the newest first. */
    List<Determination> signedFor(Collection<UUID> treeIds) {
        return determinations.findByTreeIdInOrderByEntryOrderDesc(treeIds);
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

    /** How a tree stands before its observer says otherwise. */
    Circumstances circumstancesOf(SurveyedTree tree) {
        return new Circumstances(LocalDate.now(clock).getMonthValue(), tree.stage(), tree.origin(), tree.habitat());
    }

    private Map<UUID, CallInHand> laidOut(
            Collection<Call> all, Map<UUID, SurveyedTree> treeById, Set<Faculty> lacking) {
        List<UUID> ids = all.stream().map(Call::id).toList();
        Map<UUID, List<ReadingEntry>> entries = readings.findByCallIdInOrderByEntryOrder(ids).stream()
                .collect(Collectors.groupingBy(ReadingEntry::callId));
        Map<UUID, List<GateEntry>> marks =
                gates.findByCallIdInOrderByEntryOrder(ids).stream().collect(Collectors.groupingBy(GateEntry::callId));
        Map<UUID, List<KeptPhoto>> pictures =
                photos.findKept(ids).stream().collect(Collectors.groupingBy(KeptPhoto::callId));
        return all.stream()
                .collect(Collectors.toMap(
                        Call::id,
                        call -> new CallInHand(
                                library.find(call.sheetVersionId()),
                                call.circumstances(),
                                call.tier(),
                                lacking,
                                treeById.get(call.treeId()).woundingAllowed(),
                                call.hasReadWoundingCaution(),
                                entries.getOrDefault(call.id(), List.of()),
                                marks.getOrDefault(call.id(), List.of()),
                                pictures.getOrDefault(call.id(), List.of()))));
    }

    private CallInHand untouched(SurveyedTree tree, StoredSheet sheet, Set<Faculty> lacking) {
        return new CallInHand(
                sheet,
                circumstancesOf(tree),
                Tier.TALLY,
                lacking,
                tree.woundingAllowed(),
                false,
                List.of(),
                List.of(),
                List.of());
    }

    private List<DeterminationDto> dtos(List<Determination> newestFirst, Map<UUID, String> callSigns) {
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
}
