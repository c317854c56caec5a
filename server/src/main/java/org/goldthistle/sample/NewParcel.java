package org.goldthistle.sample;

import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;

/**
 * A parcel that is made.
 *
 * @param sampleIds of those that go into it; each was taken and lies in no other
 */
record NewParcel(@NotNull @NotEmpty @Size(max = 200) List<@NotNull UUID> sampleIds) {}
