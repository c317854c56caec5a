package org.goldthistle.photo;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.bench.BenchDto;
import org.goldthistle.bench.BenchService;
import org.goldthistle.call.CallInHand;
import org.goldthistle.entry.CallEntries;
import org.goldthistle.entry.CallsInHand;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Settings;
import org.goldthistle.platform.Sha256;
import org.goldthistle.platform.Turn;
import org.goldthistle.signing.TreeSignatures;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps photos of calls in the database. Every write may be sent twice. */
@Service
class PhotoService {
    private static final int PIECE = 256 * 1024; // bytes

    private final CallEntries entries;
    private final CallsInHand calls;
    private final TreeSignatures signatures;
    private final BenchService bench;
    private final PhotoRepository photos;
    private final TreeService trees;
    private final int most;
    private final Clock clock;

    PhotoService(
            CallEntries entries,
            CallsInHand calls,
            TreeSignatures signatures,
            BenchService bench,
            PhotoRepository photos,
            TreeService trees,
            Settings settings,
            Clock clock) {
        this.entries = entries;
        this.calls = calls;
        this.signatures = signatures;
        this.bench = bench;
        this.photos = photos;
        this.trees = trees;
        this.most = settings.limits().photosOfACall();
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
        CallEntries.Written opened = entries.open(of, clock.instant(), Turn.alone(Turn.Thing.ENTRY, photoId));
        UUID callId = opened.call().callId();
        byte[] content = PhotoFile.bytes(sent);
        String print = Sha256.of(content);
        Optional<ServedPhoto> known = photos.findServed(photoId);
        if (known.isPresent()) {
            CallEntries.requireSame(
                    known.get().callId().equals(callId)
                            && known.get().sentSha256().equals(print),
                    "photo");
        } else {
            requireFit(opened.call().inHand(), character);
            PhotoFile file = PhotoFile.read(content, opened.tree().rules().photoPositionKept());
            photos.saveAndFlush(new Photo(photoId, callId, character.orElse(null), print, file, clock.instant()));
        }
        return bench.kept(entries.again(opened));
    }

    private void requireFit(CallInHand call, Optional<String> character) {
        if (character.isPresent()
                && call.sheet().sheet().character(character.get()).isEmpty()) {
            throw Problem.unfit(
                    ProblemType.NO_SUCH_CHARACTER,
                    "The sheet has no character \"" + character.get() + "\". The photo was not stored; attach it to the"
                            + " tree or to one of the sheet's characters.");
        }
        if (call.photos().size() >= most) {
            throw Problem.unfit(
                    ProblemType.TOO_MANY_PHOTOS,
                    "This call has " + most + " photos already, and that many are kept. This one was not stored.");
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
                        ProblemType.NO_SUCH_PHOTO,
                        "This tree has no such photo, or it belongs to a call that is not signed yet."));
    }

    /** Writes a photo's content in pieces, so that however many look at once none is held whole, and no connection waits. */
    void write(ServedPhoto photo, OutputStream to) throws IOException {
        for (int first = 1; first <= photo.sizeBytes(); first += PIECE) {
            to.write(photos.piece(photo.id(), first, PIECE));
        }
    }

    private boolean isVisible(ServedPhoto photo, SurveyedTree tree, UUID observerId) {
        return calls.isTheirs(photo.callId(), tree, observerId) || signatures.hasSigned(tree.id(), photo.id());
    }
}
