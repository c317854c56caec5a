package org.goldthistle.audit;

import com.fasterxml.jackson.databind.JsonNode;
import java.time.Instant;
import org.springframework.lang.Nullable;

/**
 * One change.
 *
 * @param observer call sign of whoever made it; null: the application itself
 * @param what was done, in words
 * @param before what it was; null: nothing
 * @param after what it became; null: nothing
 */
public record AuditEntry(
        Instant at,
        @Nullable String observer,
        String what,
        @Nullable JsonNode before,
        @Nullable JsonNode after) {}
