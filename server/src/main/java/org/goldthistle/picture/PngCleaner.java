package org.goldthistle.picture;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * Copies a PNG with what its picture needs and nothing else: no descriptions, no private chunks, no packed colour profile,
 * which may unpack to more than anybody has room for. The picture itself stays bit for bit.
 *
 * @see "ISO/IEC 15948: a file is a signature and a row of chunks of length, name, content and check sum"
 */
final class PngCleaner {
    private static final int SIGNATURE = 8;
    private static final int AROUND_CONTENT = 12;
    private static final int WIDTH = 16; // where the first chunk has it
    private static final int HEIGHT = 20;
    private static final Set<String> KEPT =
            Set.of("IHDR", "PLTE", "IDAT", "IEND", "tRNS", "gAMA", "cHRM", "sRGB", "sBIT", "bKGD", "pHYs");

    private PngCleaner() {}

    /** @throws IndexOutOfBoundsException if the file breaks off, or a length cannot be */
    static CleanPicture clean(byte[] content) {
        var cleaned = new ByteArrayOutputStream(content.length);
        cleaned.write(content, 0, SIGNATURE);
        ByteBuffer from = ByteBuffer.wrap(content);
        int at = SIGNATURE;
        while (true) {
            int length = from.getInt(at);
            String name = new String(content, at + 4, 4, StandardCharsets.US_ASCII);
            if (length < 0 || length > content.length - at - AROUND_CONTENT) {
                throw new IndexOutOfBoundsException(at);
            }
            int size = length + AROUND_CONTENT;
            if (KEPT.contains(name)) {
                cleaned.write(content, at, size);
            }
            if (name.equals("IEND")) {
                return new CleanPicture(
                        cleaned.toByteArray(),
                        Integer.toUnsignedLong(from.getInt(WIDTH)) * Integer.toUnsignedLong(from.getInt(HEIGHT)));
            }
            at += size;
        }
    }
}
