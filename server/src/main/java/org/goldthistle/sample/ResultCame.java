package org.goldthistle.sample;

import java.util.UUID;

/** Told inside the application when the laboratory said something of a tree's sample. */
public record ResultCame(UUID treeId) {}
