package org.goldthistle.formats;

import java.util.Optional;

/**
 * A key of a file that the format does not know, so that nothing reads what it says.
 *
 * @param place of the object that holds it; empty: the file itself
 * @param key as it is written
 * @param nearest the known key that it most likely means; empty: none is near
 */
public record UnknownKey(String place, String key, Optional<String> nearest) {}
