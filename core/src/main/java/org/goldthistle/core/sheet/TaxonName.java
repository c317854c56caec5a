package org.goldthistle.core.sheet;

import org.goldthistle.core.Refusals;

/** What a taxon is called; the authorship may be empty. */
public record TaxonName(String scientificName, String authorship, String commonName) {
    /** @throws org.goldthistle.core.RefusedException if either name is blank */
    public TaxonName {
        var refusals = new Refusals();
        refusals.requireText(scientificName, "scientificName");
        refusals.requireText(commonName, "commonName");
        refusals.throwIfAny();
    }
}
