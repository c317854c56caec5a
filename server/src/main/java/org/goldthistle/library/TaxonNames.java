package org.goldthistle.library;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which taxa trees are recorded as: those of the library, and common trees that no group holds. */
@Component
class TaxonNames {
    private static final String OTHERS = "/other-taxa.json";

    private final LibraryService library;
    private final Map<String, String> others;

    TaxonNames(LibraryService library, ObjectMapper json) {
        this.library = library;
        this.others = read(json);
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
        Stream<TaxonController.NamedTaxon> outside = others.entrySet().stream()
                .map(other -> new TaxonController.NamedTaxon(other.getKey(), other.getValue(), null, null));
        return Stream.concat(inGroups, outside).toList();
    }

    private static Map<String, String> read(ObjectMapper json) {
        try (InputStream file = TaxonNames.class.getResourceAsStream(OTHERS)) {
            return json.readValue(file, new TypeReference<TreeMap<String, String>>() {});
        } catch (IOException broken) {
            throw new UncheckedIOException("the list of other taxa ships with the application", broken);
        }
    }
}
