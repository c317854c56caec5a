package org.goldthistle.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.Refusal;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.StateScale;
import org.goldthistle.formats.GroupSheetJson;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.KeptJson;
import org.springframework.stereotype.Component;

/** Drafts as an observer sees them. */
@Component
class DraftViews {
    private final LibraryService library;
    private final AccountService accounts;
    private final KeptJson json;

    DraftViews(LibraryService library, AccountService accounts, KeptJson json) {
        this.library = library;
        this.accounts = accounts;
        this.json = json;
    }

    /** Drafts in a list, in their order. */
    List<DraftDto.DraftRow> rows(List<Draft> found, UUID observerId) {
        var callSigns =
                accounts.callSigns(found.stream().map(Draft::ownerId).distinct().toList());
        return found.stream()
                .map(one -> new DraftDto.DraftRow(
                        one.id(),
                        one.groupId(),
                        json.tree(one.body()).path("title").asText(""),
                        callSigns.get(one.ownerId()),
                        one.ownerId().equals(observerId),
                        one.changedAt()))
                .toList();
    }

    /** A draft as an observer sees it, with what keeps it from being saved. */
    DraftDto of(Draft draft, SignedInObserver observer) {
        List<Refusal> refusals = List.of();
        try {
            draft.sheet();
        } catch (RefusedException broken) {
            refusals = broken.refusals();
        }
        Optional<StoredSheet> base = Optional.ofNullable(draft.basedOn()).map(library::find);
        UUID newest =
                draft.groupId() == null ? null : library.newest(draft.groupId()).id();
        return new DraftDto(
                draft.id(),
                draft.groupId(),
                draft.basedOn(),
                base.map(StoredSheet::version).orElse(null),
                newest == null || newest.equals(draft.basedOn()) ? null : newest,
                draft.overlayOn() != null,
                accounts.callSigns(List.of(draft.ownerId())).get(draft.ownerId()),
                draft.ownerId().equals(observer.id()),
                draft.revision(),
                draft.changedAt(),
                json.tree(draft.body()),
                base.map(one -> savedPlaces(draft, one.sheet())).orElse(List.of()),
                GroupSheetJson.unknownKeys(draft.body()).stream()
                        .map(DraftDto.UnknownKeyDto::of)
                        .toList(),
                refusals);
    }

    /** Where ids stand that others may know already: a copy has none, and a region none of its own but the original's. */
    private static List<String> savedPlaces(Draft draft, GroupSheet sheet) {
        List<String> places = new ArrayList<>();
        if (draft.groupId() == null && draft.overlayOn() == null) {
            return places;
        }
        if (draft.groupId() != null) {
            places.add("id");
        }
        sheet.taxa().forEach(taxon -> places.add("taxa." + taxon.id()));
        sheet.gate().forEach(item -> places.add("gate." + item.id()));
        sheet.indices().forEach(index -> places.add("indices." + index.id()));
        for (DiagnosticCharacter character : sheet.characters()) {
            String place = "characters." + character.id();
            places.add(place);
            if (character.scale() instanceof StateScale scale) {
                scale.states().forEach(state -> places.add(place + ".states." + state.id()));
            }
        }
        return places;
    }
}
