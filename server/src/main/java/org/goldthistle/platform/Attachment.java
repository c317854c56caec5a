package org.goldthistle.platform;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Answers that a browser keeps as a file. */
public final class Attachment {
    /** A table. */
    public static final MediaType CSV = MediaType.parseMediaType("text/csv;charset=UTF-8");

    /** A map. */
    public static final MediaType GEO_JSON = MediaType.parseMediaType("application/geo+json");

    /** Several files in one. */
    public static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    private Attachment() {}

    /** The head of such an answer, for its body to follow. */
    public static ResponseEntity.BodyBuilder named(String name, MediaType type) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString());
    }
}
