package org.goldthistle.draft;

import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.library.LibraryService;
import org.goldthistle.library.SeasonDto;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;

/** How well a draft's taxa can be told apart, beside what its library version says. */
@Service
class DraftSeasons {
    private final DraftService drafts;
    private final LibraryService library;

    DraftSeasons(DraftService drafts, LibraryService library) {
        this.drafts = drafts;
        this.library = library;
    }

    /** Through the year, before and after; before is null for a sheet that was begun from nothing. */
    record DraftSeasonDto(@Nullable SeasonDto before, SeasonDto after) {}

    /** @throws org.goldthistle.platform.Problem if the draft breaks a rule */
    DraftSeasonDto of(UUID draftId, String stage, Optional<String> school, boolean wounding) {
        StoredSheet changed = drafts.sheetOf(draftId);
        return new DraftSeasonDto(
                drafts.baseOf(draftId)
                        .map(base -> library.season(base.id(), stage, school, wounding))
                        .orElse(null),
                library.season(changed, stage, school, wounding));
    }
}
