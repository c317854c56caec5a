package org.goldthistle.picture;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * Copies a WebP with what its picture needs and nothing else: no descriptions, no chunks that nobody knows. The picture
 * itself stays bit for bit.
 *
 * @see "RFC 9649: a file is a RIFF header and a row of chunks of name, length and content, padded to even lengths"
 */
final class WebpCleaner {
    private static final int HEADER = 12;
    private static final int BEFORE_CONTENT = 8;
    private static final Set<String> KEPT = Set.of("VP8 ", "VP8L", "VP8X", "ALPH", "ANIM", "ANMF", "ICCP");
    private static final int SAYS_EXIF_OR_XMP = 0x08 | 0x04; // flags of the chunk VP8X

    private WebpCleaner() {}

    /** @throws IndexOutOfBoundsException if the file breaks off, or a length cannot be */
    static CleanPicture clean(byte[] content) {
        ByteBuffer from = ByteBuffer.wrap(content).order(ByteOrder.LITTLE_ENDIAN);
        int said = from.getInt(4);
        if (said < HEADER - BEFORE_CONTENT || said > content.length - BEFORE_CONTENT) {
            throw new IndexOutOfBoundsException(said);
        }
        int end = said + BEFORE_CONTENT;
        long pixels = 0;
        var cleaned = new ByteArrayOutputStream(content.length);
        cleaned.write(content, 0, HEADER);
        for (int at = HEADER; at + BEFORE_CONTENT <= end; ) {
            String name = new String(content, at, 4, StandardCharsets.US_ASCII);
            int length = from.getInt(at + 4);
            if (length < 0 || length > content.length - at - BEFORE_CONTENT) {
                throw new IndexOutOfBoundsException(at);
            }
            int size = length + BEFORE_CONTENT + (length & 1);
            if (KEPT.contains(name)) {
                cleaned.write(content, at, Math.min(size, content.length - at));
            }
            pixels = Math.max(pixels, pixels(name, from, at + BEFORE_CONTENT, length));
            at += size;
        }
        return new CleanPicture(withSize(cleaned.toByteArray()), pixels);
    }

    /** How many pixels a chunk says that there are; 0: it does not say. */
    private static long pixels(String name, ByteBuffer from, int at, int length) {
        if (name.equals("VP8X") && length >= 10) {
            return (1L + (from.getInt(at + 4) & 0xFFFFFF)) * (1L + (from.getInt(at + 6) >>> 8));
        }
        if (name.equals("VP8L") && length >= 5) {
            int sides = from.getInt(at + 1);
            return (1L + (sides & 0x3FFF)) * (1L + (sides >> 14 & 0x3FFF));
        }
        if (name.equals("VP8 ") && length >= 10) {
            return (long) (from.getShort(at + 6) & 0x3FFF) * (from.getShort(at + 8) & 0x3FFF);
        }
        return 0;
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
