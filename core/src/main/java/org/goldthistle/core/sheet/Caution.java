package org.goldthistle.core.sheet;

import org.goldthistle.core.Refusals;

/** What to be careful of with this group. */
public record Caution(CautionTopic topic, String text) {
    /** @throws org.goldthistle.core.RefusedException if the text is blank */
    public Caution {
        var refusals = new Refusals();
        refusals.requireText(text, "text");
        refusals.throwIfAny();
    }
}
