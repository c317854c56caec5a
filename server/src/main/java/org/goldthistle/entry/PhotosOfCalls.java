package org.goldthistle.entry;

import java.util.List;
import java.util.UUID;
import org.goldthistle.call.KeptPhoto;

/** Knows the photos that belong to a call, in the order in which they came. */
public interface PhotosOfCalls {
    List<KeptPhoto> of(UUID callId);
}
