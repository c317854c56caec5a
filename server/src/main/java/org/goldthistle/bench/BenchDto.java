package org.goldthistle.bench;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import org.goldthistle.call.CallView;

/** A tree as one observer's Bench shows it: what is on record, and what it amounts to. */
public record BenchDto(
        @JsonUnwrapped BenchRecord onRecord, @JsonUnwrapped CallView call) {}
