package org.goldthistle.library;

import java.time.Duration;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sheet versions for reading; one never changes, so a browser may keep it. */
@RestController
@RequestMapping("/api/sheets")
class SheetController {
    private final LibraryService library;

    SheetController(LibraryService library) {
        this.library = library;
    }

    /** One version of a group's sheet. */
    @GetMapping("/{versionId}")
    ResponseEntity<SheetDto> get(@PathVariable UUID versionId) {
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable())
                .body(SheetDto.of(library.find(versionId)));
    }
}
