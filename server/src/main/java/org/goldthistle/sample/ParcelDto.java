package org.goldthistle.sample;

import java.util.List;
import java.util.UUID;
import org.springframework.lang.Nullable;

/**
 * A parcel of samples.
 *
 * @param samples codes of those that lie in it, or were sent with it
 * @param receipt of the laboratory; null: none yet
 * @param tries how often the laboratory was told of it
 * @param trouble why the last try failed; empty: it did not
 * @param byHand whether no laboratory was connected when it was made, so that its list goes with it
 */
record ParcelDto(
        UUID id,
        String code,
        List<String> samples,
        @Nullable String receipt,
        int tries,
        String trouble,
        boolean byHand) {}
