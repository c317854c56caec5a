package org.goldthistle.core.sheet;

import java.util.List;
import java.util.Locale;
import org.goldthistle.core.Refusals;

/**
 * What a taxon is called; the authorship may be empty.
 *
 * @param alsoCalled other names that people look for: synonyms, other common names, names in other languages; each once
 */
public record TaxonName(String scientificName, String authorship, String commonName, List<String> alsoCalled) {
    /** @throws org.goldthistle.core.RefusedException if a name is blank, or another name is there twice */
    public TaxonName {
        var refusals = new Refusals();
        refusals.requireText(scientificName, "scientificName");
        refusals.requireText(commonName, "commonName");
        for (int i = 0; i < alsoCalled.size(); i++) {
            String name = alsoCalled.get(i);
            refusals.requireText(name, "alsoCalled[" + i + "]");
            refusals.require(
                    alsoCalled.stream().limit(i).noneMatch(one -> same(one, name)),
                    "alsoCalled[" + i + "]",
                    name,
                    "each name once");
        }
        refusals.throwIfAny();
        alsoCalled = List.copyOf(alsoCalled);
    }

    /** Without other names. */
    public TaxonName(String scientificName, String authorship, String commonName) {
        this(scientificName, authorship, commonName, List.of());
    }

    private static boolean same(String one, String other) {
        return one.strip().toLowerCase(Locale.ROOT).equals(other.strip().toLowerCase(Locale.ROOT));
    }
}
