package org.goldthistle.library;

import java.util.List;
import org.goldthistle.platform.ForObservers;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The names by which crews record trees. */
@RestController
class TaxonController {
    private final TaxonNames names;

    TaxonController(TaxonNames names) {
        this.names = names;
    }

    /** The taxa of every group's newest sheet, then other trees of the region. */
    @GetMapping("/api/taxa")
    @ForObservers
    List<NamedTaxon> listTaxa() {
        return names.all();
    }

    /**
     * A taxon.
     *
     * @param groupId null: it belongs to none that gets mixed up
     * @param groupName the group in at most 22 letters, such as "bird cherries"
     */
    record NamedTaxon(
            String scientificName,
            String commonName,
            @Nullable String groupId,
            @Nullable String groupName) {}
}
