package org.goldthistle.core.sheet;

import java.util.Optional;
import org.goldthistle.core.Refusals;

/**
 * How a check is done.
 *
 * @param howTo where to look and what to do
 * @param pitfall how people get it wrong
 * @param figure what is measured or counted, drawn, for a character that is read as numbers
 */
public record Guidance(String howTo, Optional<String> pitfall, Optional<Drawing> figure) {
    /** @throws org.goldthistle.core.RefusedException if howTo is blank */
    public Guidance {
        var refusals = new Refusals();
        refusals.requireText(howTo, "howTo");
        refusals.throwIfAny();
    }

    /** Guidance without a figure. */
    public Guidance(String howTo, Optional<String> pitfall) {
        this(howTo, pitfall, Optional.empty());
    }
}
