package org.goldthistle.browser;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.CallState;
import org.goldthistle.call.Circumstances;

/**
 * What the server told of a tree and one observer's work on it; the same names as in its answer.
 *
 * @param state of the call in hand
 * @param setAside calls of the same observer on the same tree in other groups
 * @param tree how it was entered
 * @param determinations that were signed for the tree, as far as their observer may know
 * @param signedAs the observer's signature that stands with just what was read then; null: there was none
 * @param thisMonth the month in which the server told it, 1-12
 */
record Begun(
        CallState state,
        List<CallState> setAside,
        AsEntered tree,
        List<Earlier> determinations,
        @Nullable UUID signedAs,
        int thisMonth) {

    /** A signature that is on record. */
    record Earlier(UUID id, String observer) {}

    /** How a tree stands by its plot; habitat null: as the plot. */
    record AsEntered(String stage, String origin, @Nullable List<String> habitat) {
        Circumstances in(int month) {
            return new Circumstances(month, stage, origin, habitat);
        }
    }
}
