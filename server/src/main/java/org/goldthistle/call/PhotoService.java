package org.goldthistle.call;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.library.LibraryService;
import org.goldthistle.photo.PhotoFile;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.Sha256;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps photos of calls in the database. Every write may be sent twice. */
@Service
class PhotoService {
    private static final int MOST_PHOTOS = 60; // of one call
    private static final int PIECE = 256 * 1024; // bytes

    private final CallService service;
    private final Desk desk;
    private final CallRepository calls;
    private final PhotoRepository photos;
    private final TreeService trees;
    private final CallStates states;
    private final LibraryService library;
    private final Clock clock;

    PhotoService(
            CallService service,
            Desk desk,
            CallRepository calls,
            PhotoRepository photos,
            TreeService trees,
            CallStates states,
            LibraryService library,
            Clock clock) {
        this.service = service;
        this.desk = desk;
        this.calls = calls;
        this.photos = photos;
        this.trees = trees;
        this.states = states;
        this.library = library;
        this.clock = clock;
    }

    /**
     * Keeps a photo. Sent again with the same id, it changes nothing.
     *
     * @param character it shows; empty: the tree
     * @throws Problem if the file is no picture that is kept, or the id belongs to another one
     */
    @Transactional
    BenchDto add(TreeOfObserver of, UUID photoId, Optional<String> character, InputStream sent) {
        Call call = service.openCall(of, photoId);
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), of.observerId());
        byte[] content = PhotoFile.bytes(sent);
        String print = Sha256.of(content);
        Optional<ServedPhoto> known = photos.findServed(photoId);
        if (known.isPresent()) {
            CallService.requireSame(
                    known.get().callId().equals(call.id())
                            && known.get().sentSha256().equals(print),
                    "photo");
        } else {
            requireFit(call, character);
            PhotoFile file = PhotoFile.read(content, tree.rules().photoPositionKept());
            photos.saveAndFlush(new Photo(photoId, call.id(), character.orElse(null), print, file, clock.instant()));
        }
        return states.keptBench(tree, call);
    }

    private void requireFit(Call call, Optional<String> character) {
        var sheet = library.find(call.sheetVersionId()).sheet();
        if (character.isPresent() && sheet.character(character.get()).isEmpty()) {
            throw Problem.unfit(
                    "no-such-character",
                    "The sheet has no character \"" + character.get() + "\". The photo was not stored; attach it to the"
                            + " tree or to one of the sheet's characters.");
        }
        if (photos.findKept(call.id()).size() >= MOST_PHOTOS) {
            throw Problem.unfit(
                    "too-many-photos",
                    "This call has " + MOST_PHOTOS
                            + " photos already, and that many are kept. This one was not stored.");
        }
    }

    /**
     * A photo with its content: one's own, or one that belongs to a call that was signed.
     *
     * @throws Problem if there is none of that id for this observer
     */
    @Transactional(readOnly = true)
    ServedPhoto find(TreeOfObserver of, UUID photoId) {
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), of.observerId());
        return photos.findServed(photoId)
                .filter(photo -> isVisible(photo, tree, of.observerId()))
                .orElseThrow(() -> Problem.missing(
                        "no-such-photo",
                        "This tree has no such photo, or it belongs to a call that is not signed yet."));
    }

    /** Writes a photo's content in pieces, so that however many look at once none is held whole, and no connection waits. */
    void write(ServedPhoto photo, OutputStream to) throws IOException {
        for (int first = 1; first <= photo.sizeBytes(); first += PIECE) {
            to.write(photos.piece(photo.id(), first, PIECE));
        }
    }

    private boolean isVisible(ServedPhoto photo, SurveyedTree tree, UUID observerId) {
        Call call = calls.findById(photo.callId()).orElseThrow();
        boolean own = call.treeId().equals(tree.id()) && call.observerId().equals(observerId);
        return own
                || desk.signedFor(tree.id()).stream()
                        .map(one -> one.snapshot().photos())
                        .anyMatch(kept -> kept != null
                                && kept.stream().anyMatch(one -> one.id().equals(photo.id())));
    }
}
