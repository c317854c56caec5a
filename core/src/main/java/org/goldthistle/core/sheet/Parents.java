package org.goldthistle.core.sheet;

import org.goldthistle.core.RefusedException;

/** The ids of the two taxa that a hybrid descends from; ancestry is the share of the second. */
public record Parents(String first, String second) {
    /** @throws RefusedException if both are the same */
    public Parents {
        if (first.equals(second)) {
            throw RefusedException.of("parents", "\"" + first + "\" twice", "two different taxa");
        }
    }
}
