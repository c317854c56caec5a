package org.goldthistle.platform;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** Text that somebody sent as bytes. */
public final class Utf8 {
    private static final String BYTE_ORDER_MARK = "\uFEFF"; // that some editors put before a text

    private Utf8() {}

    /** The text, past a byte order mark; empty: the bytes are no UTF-8. */
    public static Optional<String> text(byte[] content) {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(content))
                    .toString();
            return Optional.of(text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text);
        } catch (CharacterCodingException other) {
            return Optional.empty();
        }
    }
}
