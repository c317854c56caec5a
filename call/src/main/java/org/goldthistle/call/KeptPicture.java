package org.goldthistle.call;

import jakarta.annotation.Nullable;
import java.util.UUID;

/**
 * A photo that belonged to a call when it was signed, with the print of its content.
 *
 * @param character it shows; null: the tree
 */
public record KeptPicture(UUID id, @Nullable String character, String sha256) {}
