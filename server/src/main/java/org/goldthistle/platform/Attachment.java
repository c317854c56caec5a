package org.goldthistle.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
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

    private static final Set<String> OF_A_FILE =
            Set.of("content-disposition", "content-type", "content-length", "content-language");

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

    /** Takes back what was said of a file that does not come after all, before anything of it was sent. */
    static void takeBack(HttpServletResponse response) {
        Map<String, List<String>> rest = new LinkedHashMap<>();
        response.getHeaderNames().stream()
                .filter(name -> !OF_A_FILE.contains(name.toLowerCase(Locale.ROOT)))
                .forEach(name -> rest.put(name, List.copyOf(response.getHeaders(name))));
        response.reset();
        rest.forEach((name, values) -> values.forEach(value -> response.addHeader(name, value)));
    }
}
