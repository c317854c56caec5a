package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.UUID;

/**
 * A photo of a call without its content.
 *
 * @param character it shows; null: the tree
 * @param sha256 print of the content as it is kept, in hex
 */
public record KeptPhoto(
        UUID id, UUID callId, @Nullable String character, String sha256, int sizeBytes, Instant recordedAt) {}
