package org.goldthistle.photo;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * Copies a WebP without its descriptions. The picture itself stays bit for bit.
 *
 * @see "RFC 9649: a file is a RIFF header and a row of chunks of name, length and content, padded to even lengths"
 */
final class WebpCleaner {
    private static final int HEADER = 12;
    private static final int BEFORE_CONTENT = 8;
    private static final Set<String> DESCRIPTIONS = Set.of("EXIF", "XMP ");
    private static final int SAYS_EXIF_OR_XMP = 0x08 | 0x04; // flags of the chunk VP8X

    private WebpCleaner() {}

    /** @throws IndexOutOfBoundsException if the file breaks off */
    static byte[] clean(byte[] content) {
        ByteBuffer from = ByteBuffer.wrap(content).order(ByteOrder.LITTLE_ENDIAN);
        int end = Math.addExact(from.getInt(4), BEFORE_CONTENT);
        if (end < HEADER || end > content.length) {
            throw new IndexOutOfBoundsException(end);
        }
        var cleaned = new ByteArrayOutputStream(content.length);
        cleaned.write(content, 0, HEADER);
        for (int at = HEADER; at + BEFORE_CONTENT <= end; ) {
            String name = new String(content, at, 4, StandardCharsets.US_ASCII);
            int length = from.getInt(at + 4);
            int size = Math.addExact(length, BEFORE_CONTENT + (length & 1));
            if (length < 0 || at + BEFORE_CONTENT + length > content.length) {
                throw new IndexOutOfBoundsException(at);
            }
            if (!DESCRIPTIONS.contains(name)) {
                cleaned.write(content, at, Math.min(size, content.length - at));
            }
            at += size;
        }
        return withSize(cleaned.toByteArray());
    }

    private static byte[] withSize(byte[] cleaned) {
        ByteBuffer to = ByteBuffer.wrap(cleaned).order(ByteOrder.LITTLE_ENDIAN);
        to.putInt(4, cleaned.length - BEFORE_CONTENT);
        boolean extended =
                cleaned.length > 20 && new String(cleaned, HEADER, 4, StandardCharsets.US_ASCII).equals("VP8X");
        if (extended) {
            cleaned[20] &= (byte) ~SAYS_EXIF_OR_XMP;
        }
        return cleaned;
    }
}
