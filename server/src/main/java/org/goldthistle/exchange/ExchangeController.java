package org.goldthistle.exchange;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.CodeOf;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.TextEncoding;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A survey's way in and out as a file. */
@RestController
@RequestMapping("/api/surveys/{surveyId}")
class ExchangeController {
    private static final MediaType CSV = MediaType.parseMediaType("text/csv;charset=UTF-8");
    private static final MediaType GEO_JSON = MediaType.parseMediaType("application/geo+json");

    private final ImportService imports;
    private final ExportService exports;

    ExchangeController(ImportService imports, ExportService exports) {
        this.imports = imports;
        this.exports = exports;
    }

    /** Sends a file of plots and trees: CSV or GeoJSON, as it is. */
    @PutMapping(path = "/imports/{importId}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ForObservers
    ImportDto sendImport(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @RequestParam String name,
            @AuthenticationPrincipal SignedInObserver observer,
            HttpServletRequest request)
            throws IOException {
        return imports.send(
                surveyId,
                importId,
                observer.id(),
                name.isBlank() ? "a file without a name" : name.strip(),
                request.getInputStream());
    }

    /** How far a file has come. */
    @GetMapping("/imports/{importId}")
    @ForObservers
    ImportDto showImport(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return imports.show(surveyId, importId, observer.id());
    }

    /** Reads a table in another encoding than it was guessed to be in. */
    @PutMapping("/imports/{importId}/encoding")
    @ForObservers
    ImportDto readImportAs(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody EncodingBody body) {
        return imports.readAs(surveyId, importId, observer.id(), body.encoding());
    }

    /** Says what the columns hold, and begins to check every row. */
    @PutMapping("/imports/{importId}/columns")
    @ForObservers
    ImportDto checkColumns(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody ColumnsBody body) {
        return imports.check(surveyId, importId, observer.id(), body.columns());
    }

    /** Begins to store what was checked. */
    @PutMapping("/imports/{importId}/stored")
    @ForObservers
    ImportDto storeImport(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return imports.store(surveyId, importId, observer.id());
    }

    /** Asks to stop the work on a file. */
    @PutMapping("/imports/{importId}/stopped")
    @ForObservers
    ImportDto stopImport(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return imports.stop(surveyId, importId, observer.id());
    }

    /** Takes back what a file brought, as long as nothing of it was touched. */
    @PutMapping("/imports/{importId}/taken-back")
    @ForObservers
    ImportDto takeImportBack(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return imports.takeBack(surveyId, importId, observer.id());
    }

    /** The files that the observer stored, the newest first. */
    @GetMapping("/imports")
    @ForObservers
    List<ImportDto.StoredDto> listImports(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return imports.stored(surveyId, observer.id());
    }

    /** Forgets a file; what was stored of it stays. */
    @DeleteMapping("/imports/{importId}")
    @ForObservers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forgetImport(
            @PathVariable UUID surveyId,
            @PathVariable UUID importId,
            @AuthenticationPrincipal SignedInObserver observer) {
        imports.forget(surveyId, importId, observer.id());
    }

    /** The survey as a table, a row a tree. */
    @GetMapping(path = "/export.csv", produces = "text/csv")
    @ForObservers
    ResponseEntity<StreamingResponseBody> exportCsv(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        String name = exports.nameFor(surveyId, observer.id());
        return file(CSV, name + ".csv", to -> exports.writeCsv(surveyId, observer.id(), to));
    }

    /** The survey as a map, a point for each plot and each tree. */
    @GetMapping(path = "/export.geojson", produces = "application/geo+json")
    @ForObservers
    ResponseEntity<StreamingResponseBody> exportGeoJson(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        String name = exports.nameFor(surveyId, observer.id());
        return file(GEO_JSON, name + ".geojson", to -> exports.writeGeoJson(surveyId, observer.id(), to));
    }

    private static ResponseEntity<StreamingResponseBody> file(
            MediaType type, String name, StreamingResponseBody content) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(content);
    }

    /** The name of an encoding. */
    record EncodingBody(@NotNull @CodeOf(TextEncoding.class) String encoding) {}

    /** What the columns hold; a heading that is left out is not taken over. */
    record ColumnsBody(@NotNull List<@NotNull @Valid ColumnDto> columns) {}
}
