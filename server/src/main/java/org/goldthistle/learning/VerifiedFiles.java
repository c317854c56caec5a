package org.goldthistle.learning;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.learning.VerifiedTree;
import org.goldthistle.core.reading.Evidence;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.formats.Specimen;
import org.goldthistle.formats.SpecimenJson;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps files of specimens whose taxon is known. They belong to the group, not to a survey. */
@Service
public class VerifiedFiles {
    /** The largest file that is taken, in bytes. */
    static final int LARGEST = 5 * 1024 * 1024;

    private static final int LONGEST_NAME = 120;
    private static final int PLACES_TOLD = 3;

    private final VerifiedFileRepository files;
    private final LibraryService library;
    private final Turns turns;
    private final Clock clock;

    VerifiedFiles(VerifiedFileRepository files, LibraryService library, Turns turns, Clock clock) {
        this.files = files;
        this.library = library;
        this.turns = turns;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<VerifiedFile> all() {
        return files.findAllByOrderByAddedAtAscIdAsc();
    }

    /**
     * Keeps a file. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if a specimen does not fit the group's newest sheet or has no truth
     */
    @Transactional
    public void keep(UUID id, String groupId, String name, String text, SignedInObserver observer) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, id));
        Optional<VerifiedFile> there = files.findById(id);
        if (there.isPresent()) {
            if (!there.get().body().equals(text) || !there.get().groupId().equals(groupId)) {
                throw Problem.conflict(
                        ProblemType.ID_TAKEN,
                        "The id of this file belongs to another one. Nothing was stored; send it anew.");
            }
            return;
        }
        if (!library.has(groupId)) {
            throw Problem.unfit(
                    ProblemType.NO_SUCH_GROUP, "The library has no group \"" + groupId + "\". Nothing was stored.");
        }
        StoredSheet sheet = library.newest(groupId);
        List<VerifiedTree> trees;
        try {
            trees = read(sheet, text);
        } catch (RefusedException broken) {
            throw Problem.unfit(
                    ProblemType.NOT_VERIFIED_TREES,
                    "This file is no list of verified trees of " + sheet.sheet().title() + ": "
                            + places(broken.refusals())
                            + ". Nothing of it was taken; correct it and send it again.",
                    broken.refusals());
        }
        String called = name.isBlank() ? "verified trees" : name.strip();
        files.saveAndFlush(new VerifiedFile(
                id,
                groupId,
                called.substring(0, Math.min(LONGEST_NAME, called.length())),
                text,
                trees.size(),
                observer.id(),
                clock.instant()));
    }

    /**
     * Takes a file out again. What is gone stays gone.
     *
     * @throws Problem if somebody else added it and the observer is no lead
     */
    @Transactional
    void remove(UUID id, SignedInObserver observer) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, id));
        files.findById(id).ifPresent(file -> {
            if (!file.addedBy().equals(observer.id()) && observer.role() != Role.LEAD) {
                throw Problem.forbidden(
                        ProblemType.NOT_YOURS,
                        "Somebody else added this file; they or a lead may take it out. Nothing was changed.");
            }
            files.delete(file);
        });
    }

    /**
     * The trees of a file for a sheet.
     *
     * @throws RefusedException with every specimen that does not fit it
     */
    static List<VerifiedTree> read(StoredSheet sheet, String text) {
        List<Refusal> refusals = new ArrayList<>();
        List<VerifiedTree> trees = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Specimen specimen : SpecimenJson.readAll(text)) {
            try {
                if (!ids.add(specimen.id())) {
                    throw RefusedException.of("id", "\"" + specimen.id() + "\" twice", "each tree once");
                }
                trees.add(tree(sheet, specimen, specimen.id()));
            } catch (RefusedException unfit) {
                unfit.refusals().forEach(one -> refusals.add(one.within(specimen.id())));
            }
        }
        if (!refusals.isEmpty()) {
            throw new RefusedException(refusals);
        }
        if (trees.isEmpty()) {
            throw RefusedException.of("", "an empty list", "one or more specimens with a truth");
        }
        return trees;
    }

    private static VerifiedTree tree(StoredSheet sheet, Specimen specimen, String id) {
        String truth = specimen.truth()
                .orElseThrow(() -> RefusedException.of("truth", "nothing", "the id of the tree's taxon"));
        Evidence evidence = Evidence.of(sheet.sheet(), specimen.context(), specimen.observations(), specimen.gate());
        return VerifiedTree.of(sheet.model(), id, evidence, truth, Tier.RECORD, Optional.empty());
    }

    private static String places(List<Refusal> refusals) {
        String first = String.join(
                "; ", refusals.stream().limit(PLACES_TOLD).map(Refusal::message).toList());
        return refusals.size() <= PLACES_TOLD
                ? first
                : first + "; and " + (refusals.size() - PLACES_TOLD) + " more places";
    }
}
