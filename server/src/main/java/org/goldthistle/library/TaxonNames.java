package org.goldthistle.library;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which taxa trees are recorded as: those of the library, and common trees that no group holds. */
@Component
class TaxonNames {
    private final LibraryService library;
    private final OtherTaxa others;

    TaxonNames(LibraryService library, OtherTaxa others) {
        this.library = library;
        this.others = others;
    }

    @Transactional(readOnly = true)
    public List<TaxonController.NamedTaxon> all() {
        Stream<TaxonController.NamedTaxon> inGroups = library.newest().stream()
                .flatMap(stored -> stored.sheet().taxa().stream()
                        .map(taxon -> new TaxonController.NamedTaxon(
                                taxon.name().scientificName(),
                                taxon.name().commonName(),
                                stored.sheet().id(),
                                stored.sheet().brief())));
        Stream<TaxonController.NamedTaxon> outside = others.all().entrySet().stream()
                .map(other -> new TaxonController.NamedTaxon(
                        other.getKey(), other.getValue().commonName(), null, null));
        return Stream.concat(inGroups, outside).toList();
    }
}
