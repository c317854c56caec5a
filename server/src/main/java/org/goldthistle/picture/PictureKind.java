package org.goldthistle.picture;

import java.util.Optional;

/** The kinds of picture that are kept, told by their first bytes whatever they are called. */
public enum PictureKind {
    /** JPEG. */
    JPEG("image/jpeg"),
    /** PNG. */
    PNG("image/png"),
    /** WebP. */
    WEBP("image/webp");

    private final String mediaType;

    PictureKind(String mediaType) {
        this.mediaType = mediaType;
    }

    /** The media type it is sent as. */
    public String mediaType() {
        return mediaType;
    }

    /** The kind of a file's content; empty: none of those that are kept. */
    static Optional<PictureKind> of(byte[] content) {
        if (startsWith(content, 0, 0xFF, 0xD8, 0xFF)) {
            return Optional.of(JPEG);
        }
        if (startsWith(content, 0, 0x89, 'P', 'N', 'G', 0x0D, 0x0A, 0x1A, 0x0A)) {
            return Optional.of(PNG);
        }
        boolean riff = startsWith(content, 0, 'R', 'I', 'F', 'F') && startsWith(content, 8, 'W', 'E', 'B', 'P');
        return riff ? Optional.of(WEBP) : Optional.empty();
    }

    private static boolean startsWith(byte[] content, int at, int... bytes) {
        if (content.length < at + bytes.length) {
            return false;
        }
        for (int i = 0; i < bytes.length; i++) {
            if ((content[at + i] & 0xFF) != bytes[i]) {
                return false;
            }
        }
        return true;
    }
}
