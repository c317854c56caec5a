package org.goldthistle.core.verdict;

import java.util.Set;

/**
 * What is on record beside the readings.
 *
 * @param hasPhotoOrVoucher whether something of the tree is kept
 * @param reasoned ids of the characters for which the observer wrote why they sign all the same
 * @param secondObserverAgrees whether a second observer, reading blind, came to the same taxon
 * @param signedTaxa ids of the taxa that observers signed for this tree
 */
public record CallRecord(
        boolean hasPhotoOrVoucher, Set<String> reasoned, boolean secondObserverAgrees, Set<String> signedTaxa) {

    /** Nothing on record yet. */
    public static final CallRecord EMPTY = new CallRecord(false, Set.of(), false, Set.of());

    /** Copies the sets. */
    public CallRecord {
        reasoned = Set.copyOf(reasoned);
        signedTaxa = Set.copyOf(signedTaxa);
    }
}
