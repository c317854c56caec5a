package org.goldthistle.core.sheet;

import org.goldthistle.core.Refusals;

/** What is recorded when the group cannot be separated: an aggregate, or the genus. */
public record Fallback(String scientificName, String commonName) {
    /** @throws org.goldthistle.core.RefusedException if either name is blank */
    public Fallback {
        var refusals = new Refusals();
        refusals.requireText(scientificName, "scientificName");
        refusals.requireText(commonName, "commonName");
        refusals.throwIfAny();
    }
}
