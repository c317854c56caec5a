package org.goldthistle.platform;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** The print of content, by which it is known again and not told. */
public final class Sha256 {
    private Sha256() {}

    /** The print of a text in UTF-8, in hex. */
    public static String of(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    /** The print of some bytes, in hex. */
    public static String of(byte[] content) {
        return HexFormat.of().formatHex(bytes(content));
    }

    /** The print of some bytes. */
    public static byte[] bytes(byte[] content) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(content);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException("every Java has SHA-256", missing);
        }
    }
}
