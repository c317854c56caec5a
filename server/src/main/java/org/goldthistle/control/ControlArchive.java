package org.goldthistle.control;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.LookAsked;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.PracticeTry;
import org.goldthistle.library.LibraryService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Says of trees before they are cut what is said by people who are not at a page: by the same rules. */
@Service
public class ControlArchive {
    private final ControlList list;
    private final ControlService control;
    private final LibraryService library;

    ControlArchive(ControlList list, ControlService control, LibraryService library) {
        this.list = list;
        this.control = control;
        this.library = library;
    }

    /** A lead approves a tree as it stands. */
    @Transactional
    public void approve(UUID surveyId, UUID treeId, UUID id, SignedInObserver lead) {
        UUID stands = list.of(surveyId, lead).trees().stream()
                .filter(tree -> tree.treeId().equals(treeId))
                .findFirst()
                .orElseThrow()
                .determinationId();
        control.approve(surveyId, treeId, lead, id, stands, true);
    }

    /** Reads what a card asks for. */
    public interface Eyes {
        /** What is seen of a character. */
        NewReading see(String character);
    }

    /** A last look at a tree, by its card. */
    @Transactional
    public void look(UUID treeId, UUID id, SignedInObserver by, Eyes eyes, Instant at) {
        CardDto card = list.cards(by).stream()
                .filter(one -> one.treeId().equals(treeId))
                .findFirst()
                .orElseThrow();
        LookAsked asked = card.asked().get(0);
        List<NewReading> readings =
                asked.characters().stream().limit(2).map(eyes::see).toList();
        List<PracticeTry.MarkedItem> gate = library.find(card.sheetVersionId()).sheet().gate().stream()
                .map(item -> new PracticeTry.MarkedItem(item.id(), true))
                .toList();
        control.look(
                card.surveyId(),
                id,
                by,
                new NewLook(
                        treeId,
                        card.approvalId(),
                        card.sheetVersionId(),
                        asked.circumstances().month(),
                        at,
                        readings,
                        gate));
    }
}
