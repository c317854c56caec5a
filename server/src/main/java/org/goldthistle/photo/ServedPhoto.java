package org.goldthistle.photo;

import java.util.UUID;

/**
 * A photo as it is handed out, its content left where it is.
 *
 * @param sentSha256 print of the file as it was sent, in hex
 * @param sha256 print of the content as it is kept, in hex
 */
record ServedPhoto(UUID id, UUID callId, String mediaType, String sentSha256, String sha256, int sizeBytes) {}
