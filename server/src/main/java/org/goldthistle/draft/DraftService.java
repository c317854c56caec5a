package org.goldthistle.draft;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.balance.GroupModel;
import org.goldthistle.core.change.SheetChange;
import org.goldthistle.core.change.SheetDifference;
import org.goldthistle.core.learning.Proposal;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.formats.CharacterMatrix;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.formats.GroupSheetWriter;
import org.goldthistle.learning.Lessons;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.SheetPictures;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.platform.Utf8;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps drafts of sheets: anybody who may edit sees them, their owner alone changes them. */
@Service
class DraftService {
    /** The largest sheet that is taken, in bytes. */
    static final int LARGEST = 5 * 1024 * 1024;

    private final DraftRepository drafts;
    private final DraftBeginnings beginnings;
    private final LibraryService library;
    private final SheetPictures pictures;
    private final Lessons lessons;
    private final DraftViews views;
    private final Turns turns;
    private final KeptJson json;
    private final Clock clock;

    DraftService(
            DraftRepository drafts,
            DraftBeginnings beginnings,
            LibraryService library,
            SheetPictures pictures,
            Lessons lessons,
            DraftViews views,
            Turns turns,
            KeptJson json,
            Clock clock) {
        this.drafts = drafts;
        this.beginnings = beginnings;
        this.library = library;
        this.pictures = pictures;
        this.lessons = lessons;
        this.views = views;
        this.turns = turns;
        this.json = json;
        this.clock = clock;
    }

    /** Every draft, the last changed first. */
    @Transactional(readOnly = true)
    List<DraftDto.DraftRow> all(UUID observerId) {
        return views.rows(drafts.findAllByOrderByChangedAtDesc(), observerId);
    }

    /** @throws Problem if there is no such draft */
    @Transactional(readOnly = true)
    DraftDto show(UUID id, SignedInObserver observer) {
        return views.of(find(id), observer);
    }

    /**
     * Begins a draft. Sent again, it changes nothing; a group's draft that the observer has already is gone on with.
     *
     * @throws Problem if there is nothing it could be begun from
     */
    @Transactional
    DraftDto begin(UUID id, NewDraft asked, SignedInObserver observer) {
        oneAtATime(id, observer);
        Optional<Draft> there = drafts.findById(id);
        if (there.isPresent()) {
            return views.of(own(there.get(), observer), observer);
        }
        return begun(id, beginnings.asked(asked), observer);
    }

    /** What one observer begins on two pages at once happens one after the other. */
    private void oneAtATime(UUID id, SignedInObserver observer) {
        turns.take(Turn.alone(Turn.Thing.OBSERVER, observer.id()), Turn.alone(Turn.Thing.ENTRY, id));
    }

    private DraftDto begun(UUID id, Draft.Beginning beginning, SignedInObserver observer) {
        Optional<Draft> mine = beginning.groupId() == null
                ? Optional.empty()
                : drafts.findByOwnerIdAndGroupId(observer.id(), beginning.groupId());
        return views.of(
                mine.orElseGet(() -> drafts.saveAndFlush(new Draft(id, observer.id(), beginning, clock.instant()))),
                observer);
    }

    /**
     * Begins a draft with a sheet that was made elsewhere: of a group that the library has, or a new one.
     *
     * @throws Problem if the file breaks the format or a rule, or the observer has a draft of the group already
     */
    @Transactional
    DraftDto take(UUID id, byte[] file, SignedInObserver observer) {
        GroupSheet sheet;
        String says;
        try {
            says = pictures.taken(text(file), observer.id());
            sheet = GroupSheetJson.readStrictly(says);
        } catch (RefusedException broken) {
            throw Problem.unfit(
                    ProblemType.NOT_A_SHEET,
                    "This file is no sheet that can be taken in: " + places(broken.refusals())
                            + ". Nothing of it was taken; correct it and send it again.",
                    broken.refusals());
        }
        oneAtATime(id, observer);
        if (!library.has(sheet.id())) {
            return begun(id, DraftBeginnings.ofNewGroup(says), observer);
        }
        if (drafts.findByOwnerIdAndGroupId(observer.id(), sheet.id()).isPresent()) {
            throw Problem.conflict(
                    ProblemType.DRAFT_ALREADY,
                    "You have a draft of " + sheet.title() + " already. Nothing of the file was taken; save or discard"
                            + " your draft first.");
        }
        return begun(id, beginnings.change(library.newest(sheet.id()), says), observer);
    }

    private static String places(List<Refusal> refusals) {
        int shown = 3;
        String first = String.join(
                "; ", refusals.stream().limit(shown).map(Refusal::message).toList());
        return refusals.size() <= shown ? first : first + "; and " + (refusals.size() - shown) + " more places";
    }

    private static String text(byte[] file) {
        return Utf8.text(file)
                .orElseThrow(() -> RefusedException.of("", "bytes that are no UTF-8", "a file saved as UTF-8"));
    }

    /**
     * Takes the profiles of a table over into a draft.
     *
     * @throws Problem if the table does not fit the draft, or the draft breaks a rule itself
     */
    @Transactional
    DraftDto takeMatrix(UUID id, byte[] table, SignedInObserver observer) throws IOException {
        turns.take(Turn.alone(Turn.Thing.ENTRY, id));
        Draft draft = own(find(id), observer);
        try {
            GroupSheet sheet = CharacterMatrix.read(new ByteArrayInputStream(table), draft.sheet());
            draft.change(GroupSheetWriter.text(sheet), clock.instant());
        } catch (RefusedException unfit) {
            throw Problem.unfit(
                    ProblemType.MATRIX_DOES_NOT_FIT,
                    "This table does not fit the draft: " + places(unfit.refusals())
                            + ". Nothing of it was taken over; correct it and send it again.",
                    unfit.refusals());
        }
        return views.of(drafts.saveAndFlush(draft), observer);
    }

    /**
     * Keeps a draft as far as it has come, whether it keeps the rules or not.
     *
     * @param revision that the change was made on
     * @throws Problem if it was changed elsewhere in the meantime, or is another's
     */
    @Transactional
    DraftDto change(UUID id, int revision, JsonNode sheet, SignedInObserver observer) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, id));
        Draft draft = own(find(id), observer);
        String text = sheet.toString();
        if (text.length() > LARGEST) {
            throw tooLarge();
        }
        if (!sheet.isObject()) {
            throw Problem.unfit(ProblemType.NOT_A_SHEET, "A sheet is an object in { }. Nothing was changed.");
        }
        if (draft.revision() != revision) {
            if (json.tree(draft.body()).equals(sheet)) {
                return views.of(draft, observer); // the answer to the same change was lost
            }
            throw Problem.stale("draft", views.of(draft, observer));
        }
        draft.change(text, clock.instant());
        return views.of(drafts.saveAndFlush(draft), observer);
    }

    static Problem tooLarge() {
        return Problem.unfit(
                ProblemType.FILE_TOO_LARGE,
                "This is larger than 5 MB, and no sheet needs that much. Nothing of it was taken; send a sheet or a"
                        + " table of one group.");
    }

    /**
     * Takes over what verified trees would change of one character: its weight, or its profiles. The rest of the draft
     * stays as it is.
     *
     * @throws Problem if it is not proposed (any more), the draft is another's or does not have the character
     */
    @Transactional
    DraftDto takeProposal(UUID id, DraftController.TakenProposal taken, SignedInObserver observer) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, id));
        Draft draft = own(find(id), observer);
        Proposal proposal = Optional.ofNullable(draft.groupId())
                .flatMap(group -> lessons.proposal(taken.surveyId(), group, taken.character(), taken.kind(), observer))
                .orElseThrow(() -> Problem.conflict(
                        ProblemType.NOT_PROPOSED,
                        "The verified trees do not speak for this change any more. Nothing was taken over; open the page"
                                + " again to see what they say now."));
        JsonNode sheet = json.tree(draft.body());
        String key = proposal.kind() == Proposal.Kind.WEIGHT ? "weight" : "profiles";
        JsonNode says = json.tree(
                GroupSheetWriter.character(proposal.proposed()).path(key).toString());
        ObjectNode character = characterOf(sheet, taken.character());
        if (!says.equals(character.path(key))) {
            character.set(key, says);
            draft.change(sheet.toString(), clock.instant());
        }
        return views.of(drafts.saveAndFlush(draft), observer);
    }

    private static ObjectNode characterOf(JsonNode sheet, String id) {
        for (JsonNode one : sheet.path("characters")) {
            if (one instanceof ObjectNode character
                    && id.equals(character.path("id").asText())) {
                return character;
            }
        }
        throw Problem.unfit(
                ProblemType.NO_SUCH_CHARACTER,
                "Your draft has no character \"" + id + "\" any more. Nothing was taken over.");
    }

    /** Throws a draft away. */
    @Transactional
    void discard(UUID id, SignedInObserver observer) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, id));
        drafts.findById(id).ifPresent(draft -> drafts.delete(own(draft, observer)));
    }

    /** What a draft changes of the version it was begun from; nothing where it begins a group. */
    @Transactional(readOnly = true)
    List<SheetChange> differences(UUID id) {
        Draft draft = find(id);
        return draft.basedOn() == null
                ? List.of()
                : SheetDifference.between(library.find(draft.basedOn()).sheet(), readable(draft));
    }

    /**
     * Makes a draft the newest version of its group, and ends it.
     *
     * @param over the newest version, where the observer has seen that it is another than the one they began from
     * @throws Problem if the draft breaks a rule, changes nothing, or a newer version was saved since
     */
    @Transactional
    StoredSheet save(UUID id, String note, Optional<UUID> over, SignedInObserver observer) {
        turns.take(Turn.alone(Turn.Thing.ENTRY, id));
        Draft draft = own(find(id), observer);
        GroupSheet sheet = readable(draft);
        List<Refusal> missing = pictures.missing(sheet);
        if (!missing.isEmpty()) {
            throw unfit(missing);
        }
        turns.take(Turn.alone(Turn.Thing.SHEET, sheet.id()));
        if (draft.groupId() == null) {
            if (library.has(sheet.id())) {
                throw unfit(List.of(new Refusal("id", sheet.id(), "an id that no group of the library has")));
            }
        } else {
            requireOfGroup(draft, sheet, over);
        }
        Optional<UUID> original = Optional.ofNullable(draft.overlayOn());
        try {
            StoredSheet saved = library.save(sheet, original, observer.id(), note.strip());
            drafts.delete(draft);
            return saved;
        } catch (RefusedException more) {
            throw unfit(more.refusals());
        }
    }

    private void requireOfGroup(Draft draft, GroupSheet sheet, Optional<UUID> over) {
        StoredSheet newest = library.newest(draft.groupId());
        if (!sheet.id().equals(draft.groupId())) {
            throw unfit(
                    List.of(new Refusal("id", sheet.id(), draft.groupId() + ", since it is a version of that group")));
        }
        if (newest.sheet().equals(sheet)) {
            throw Problem.unfit(
                    ProblemType.NOTHING_CHANGED,
                    "This is what version " + newest.version() + " says already. No version was made; change something"
                            + " first, or discard the draft.");
        }
        if (!newest.id().equals(draft.basedOn()) && !over.equals(Optional.of(newest.id()))) {
            throw Problem.stale("sheet", newest.id());
        }
    }

    private static Problem unfit(List<Refusal> refusals) {
        return Problem.unfit(
                ProblemType.NOT_A_SHEET,
                "The draft cannot be saved yet: " + places(refusals)
                        + ". It is kept as it is; correct it and save again.",
                refusals);
    }

    /** A draft's sheet. */
    @Transactional(readOnly = true)
    StoredSheet sheetOf(UUID id) {
        Draft draft = find(id);
        return new StoredSheet(draft.id(), 0, "", GroupModel.of(readable(draft)));
    }

    /** The version that a draft was begun from; empty: none. */
    @Transactional(readOnly = true)
    Optional<StoredSheet> baseOf(UUID id) {
        return Optional.ofNullable(find(id).basedOn()).map(library::find);
    }

    private GroupSheet readable(Draft draft) {
        try {
            return draft.sheet();
        } catch (RefusedException broken) {
            throw unfit(broken.refusals());
        }
    }

    private Draft find(UUID id) {
        return drafts.findById(id)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_DRAFT,
                        "There is no such draft; it was saved or discarded. Look at the versions of its group."));
    }

    private static Draft own(Draft draft, SignedInObserver observer) {
        if (!draft.ownerId().equals(observer.id())) {
            throw Problem.forbidden(
                    ProblemType.DRAFT_OF_ANOTHER, "This draft is another's. You can read it; nothing was changed.");
        }
        return draft;
    }
}
