package org.goldthistle.photo;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Set;

/**
 * Copies a PNG without its descriptions. The picture itself stays bit for bit.
 *
 * @see "ISO/IEC 15948: a file is a signature and a row of chunks of length, name, content and check sum"
 */
final class PngCleaner {
    private static final int SIGNATURE = 8;
    private static final int AROUND_CONTENT = 12;
    private static final Set<String> DESCRIPTIONS = Set.of("eXIf", "tEXt", "zTXt", "iTXt", "tIME");

    private PngCleaner() {}

    /** @throws IndexOutOfBoundsException if the file breaks off */
    static byte[] clean(byte[] content) {
        var cleaned = new ByteArrayOutputStream(content.length);
        cleaned.write(content, 0, SIGNATURE);
        int at = SIGNATURE;
        while (true) {
            int length = ByteBuffer.wrap(content).getInt(at);
            String name = new String(content, at + 4, 4, StandardCharsets.US_ASCII);
            int size = Math.addExact(length, AROUND_CONTENT);
            if (length < 0 || at + size > content.length) {
                throw new IndexOutOfBoundsException(at);
            }
            if (!DESCRIPTIONS.contains(name)) {
                cleaned.write(content, at, size);
            }
            if (name.equals("IEND")) {
                return cleaned.toByteArray();
            }
            at += size;
        }
    }
}
