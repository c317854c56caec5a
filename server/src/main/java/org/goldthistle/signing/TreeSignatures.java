package org.goldthistle.signing;

import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.goldthistle.account.AccountService;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.OnRecord;
import org.goldthistle.call.SignedView;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/** What was signed for a tree, as far as an observer may see it, and what it means for a call that is in hand. */
@Component
public class TreeSignatures {
    private final DeterminationRepository determinations;
    private final LibraryService library;
    private final AccountService accounts;
    private final Clock clock;

    TreeSignatures(
            DeterminationRepository determinations, LibraryService library, AccountService accounts, Clock clock) {
        this.determinations = determinations;
        this.library = library;
        this.accounts = accounts;
        this.clock = clock;
    }

    /**
     * What is there beside a call.
     *
     * @param onRecord as far as its observer may know
     * @param determinations that its observer may see, the newest first
     * @param holdsOthers whether somebody else's is among them
     * @param signedAs the observer's own signature that stands and was made of just what counts now; null: there is none
     */
    public record Beside(
            OnRecord onRecord,
            List<SignedView> determinations,
            boolean holdsOthers,
            @Nullable UUID signedAs) {}

    /** What is there beside the call that an observer has in hand on a tree. */
    public Beside beside(SurveyedTree tree, UUID observerId, CallInHand call) {
        List<Determination> shown = shownTo(tree, observerId);
        return new Beside(
                onRecord(observerId, shown),
                dtos(shown),
                shown.stream().anyMatch(one -> !one.observerId().equals(observerId)),
                signedAs(call, observerId, shown));
    }

    /** What is on record of a tree, as far as an observer may know. */
    public OnRecord onRecord(SurveyedTree tree, UUID observerId) {
        return onRecord(observerId, shownTo(tree, observerId));
    }

    /** Who signed a tree on the Bench. */
    public Set<UUID> signersOf(UUID treeId) {
        return signedFor(treeId).stream()
                .filter(one -> one.settles() == null)
                .map(Determination::observerId)
                .collect(Collectors.toSet());
    }

    /** Whether a photo belongs to something that was signed for a tree. */
    public boolean hasSigned(UUID treeId, UUID photoId) {
        return signedFor(treeId).stream()
                .map(one -> one.snapshot().photos())
                .anyMatch(kept ->
                        kept != null && kept.stream().anyMatch(one -> one.id().equals(photoId)));
    }

    /** What was signed for a tree, the newest first. */
    List<Determination> signedFor(UUID treeId) {
        return determinations.findOnTree(treeId);
    }

    /** What an observer may see of it: their own alone where they read blind. */
    List<Determination> shownTo(SurveyedTree tree, UUID observerId) {
        List<Determination> all = signedFor(tree.id());
        return tree.isBlindFor(observerId)
                ? all.stream()
                        .filter(one -> one.observerId().equals(observerId))
                        .toList()
                : all;
    }

    private OnRecord onRecord(UUID observerId, List<Determination> shown) {
        Map<Boolean, List<Determination>> blindByOwn = shown.stream()
                .filter(Determination::signedBlind)
                .collect(Collectors.partitioningBy(one -> one.observerId().equals(observerId)));
        Set<String> agreed = new HashSet<>(standingTaxa(blindByOwn.get(true)));
        agreed.retainAll(standingTaxa(blindByOwn.get(false)));
        return new OnRecord(standingTaxa(shown), agreed);
    }

    /** The scientific names of the taxa that observers signed last, since ids are those of a sheet. */
    private Set<String> standingTaxa(List<Determination> newestFirst) {
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

    private static @Nullable UUID signedAs(CallInHand call, UUID observerId, List<Determination> newestFirst) {
        return newestFirst.stream()
                .filter(one -> one.observerId().equals(observerId) && !isSuperseded(one, newestFirst))
                .filter(one -> one.snapshot().isOf(call))
                .map(Determination::getId)
                .findFirst()
                .orElse(null);
    }

    /** Signatures as they are shown. */
    List<SignedView> dtos(List<Determination> newestFirst) {
        Map<UUID, String> callSigns = accounts.callSigns(newestFirst.stream()
                .flatMap(one -> Stream.concat(Stream.of(one.observerId()), one.alsoBy().stream()))
                .distinct()
                .toList());
        return newestFirst.stream()
                .map(one -> SignedViews.of(
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
}
