package org.goldthistle.core.sheet;

import java.util.Optional;
import org.goldthistle.core.Refusals;

/**
 * How a check is done.
 *
 * @param howTo where to look and what to do
 * @param pitfall how people get it wrong
 */
public record Guidance(String howTo, Optional<String> pitfall) {
    /** @throws org.goldthistle.core.RefusedException if howTo is blank */
    public Guidance {
        var refusals = new Refusals();
        refusals.requireText(howTo, "howTo");
        refusals.throwIfAny();
    }
}
