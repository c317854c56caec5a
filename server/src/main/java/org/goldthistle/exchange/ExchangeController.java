package org.goldthistle.exchange;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.exchange.ImportDto.ColumnDto;
import org.goldthistle.formats.TextEncoding;
import org.goldthistle.platform.Attachment;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
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
    private final ImportService imports;
    private final ExportService exports;
    private final DarwinCoreExport archives;
    private final ExchangeRules rules;

    ExchangeController(ImportService imports, ExportService exports, DarwinCoreExport archives, ExchangeRules rules) {
        this.imports = imports;
        this.exports = exports;
        this.archives = archives;
        this.rules = rules;
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
        return file(surveyId, observer, ".csv", Attachment.CSV, to -> exports.writeCsv(surveyId, observer.id(), to));
    }

    /** The survey as a map, a point for each plot and each tree. */
    @GetMapping(path = "/export.geojson", produces = "application/geo+json")
    @ForObservers
    ResponseEntity<StreamingResponseBody> exportGeoJson(
            @PathVariable UUID surveyId,
            @RequestParam(defaultValue = "both") @CodeOf(Layer.class) String layer,
            @AuthenticationPrincipal SignedInObserver observer) {
        Layer shown = Coded.find(Layer.values(), layer)
                .orElseThrow(() -> RefusedException.of("layer", layer, Coded.codes(Layer.values())));
        String what = shown == Layer.BOTH ? "" : " " + shown.code();
        return file(
                surveyId,
                observer,
                what + ".geojson",
                Attachment.GEO_JSON,
                to -> exports.writeGeoJson(surveyId, observer.id(), shown, to));
    }

    /** What was signed of its trees as a table, a row a signature. */
    @GetMapping(path = "/determinations.csv", produces = "text/csv")
    @ForObservers
    ResponseEntity<StreamingResponseBody> exportDeterminations(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return file(
                surveyId,
                observer,
                " determinations.csv",
                Attachment.CSV,
                to -> exports.writeDeterminations(surveyId, observer.id(), to));
    }

    /** The survey as an archive of the Darwin Core: stems, readings, signatures and photos. */
    @GetMapping(path = "/darwin-core.zip", produces = "application/zip")
    @ForObservers
    ResponseEntity<StreamingResponseBody> exportDarwinCore(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return file(
                surveyId,
                observer,
                " Darwin Core.zip",
                Attachment.ZIP,
                to -> archives.write(surveyId, observer.id(), to));
    }

    /** Under what the archive may be used, and what of it is told less exactly than it is known. */
    @GetMapping("/exchange-rules")
    @ForObservers
    ExchangeRulesDto showExchangeRules(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return rules.of(surveyId, observer.id());
    }

    /** Sets them. */
    @PutMapping("/exchange-rules")
    @ForLeads
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setExchangeRules(
            @PathVariable UUID surveyId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody ExchangeRulesDto body) {
        rules.set(surveyId, observer.id(), body);
    }

    /** What was read on its trees as a table, a row a look, with what each value was taken from and how far off it may be. */
    @GetMapping(path = "/readings.csv", produces = "text/csv")
    @ForObservers
    ResponseEntity<StreamingResponseBody> exportReadings(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return file(
                surveyId,
                observer,
                " readings.csv",
                Attachment.CSV,
                to -> exports.writeReadings(surveyId, observer.id(), to));
    }

    /** A file of a survey, called after it and the day. */
    private ResponseEntity<StreamingResponseBody> file(
            UUID surveyId, SignedInObserver observer, String ending, MediaType type, StreamingResponseBody content) {
        return Attachment.named(exports.nameFor(surveyId, observer.id()) + ending, type)
                .body(content);
    }

    /** The name of an encoding. */
    record EncodingBody(@NotNull @CodeOf(TextEncoding.class) String encoding) {}

    /** What the columns hold; a heading that is left out is not taken over. */
    record ColumnsBody(@NotNull List<@NotNull @Valid ColumnDto> columns) {}
}
