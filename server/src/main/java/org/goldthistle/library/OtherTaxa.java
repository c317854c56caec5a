package org.goldthistle.library;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.stereotype.Component;

/** Common trees of the region that no group of the library holds. */
@Component
class OtherTaxa {
    private static final String FILE = "/other-taxa.json";

    private final SortedMap<String, OtherTaxon> byScientificName;

    OtherTaxa(ObjectMapper json) {
        try (InputStream file = OtherTaxa.class.getResourceAsStream(FILE)) {
            byScientificName = json.readValue(file, new TypeReference<TreeMap<String, OtherTaxon>>() {});
        } catch (IOException broken) {
            throw new UncheckedIOException("the list of other taxa ships with the application", broken);
        }
    }

    /**
     * A tree that no group holds.
     *
     * @param near ids of the groups whose members are taken for it, or it for them; the nearest first
     */
    record OtherTaxon(String commonName, List<String> near) {}

    /** By scientific name, in the order of the alphabet. */
    SortedMap<String, OtherTaxon> all() {
        return byScientificName;
    }
}
