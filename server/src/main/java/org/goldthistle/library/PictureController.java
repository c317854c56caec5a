package org.goldthistle.library;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForContractors;
import org.goldthistle.platform.ForReviewers;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Pictures that sheets show where nothing is drawn. */
@RestController
@RequestMapping("/api/sheet-pictures")
class PictureController {
    private final SheetPictures pictures;

    PictureController(SheetPictures pictures) {
        this.pictures = pictures;
    }

    /**
     * A picture that is kept.
     *
     * @param image the print of its file, which a drawing of the part own-picture names
     */
    record KeptPictureDto(String image) {}

    /** Keeps a picture, the body being its file; what the file says of where it was taken, and by whom, is left out. */
    @PutMapping(consumes = MediaType.ALL_VALUE)
    @ForReviewers
    KeptPictureDto keepPicture(@AuthenticationPrincipal SignedInObserver observer, HttpServletRequest request)
            throws IOException {
        return new KeptPictureDto(pictures.keep(request.getInputStream(), observer.id()));
    }

    /**
     * A picture's file; it never changes.
     *
     * @param image the print of the file
     */
    @GetMapping("/{image}")
    @ForContractors
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "image/*", schema = @Schema(type = "string", format = "binary")))
    ResponseEntity<byte[]> showPicture(@PathVariable String image) {
        SheetPictures.Kept kept = pictures.find(image)
                .orElseThrow(() -> Problem.missing(ProblemType.NO_SUCH_PICTURE, "There is no such picture here."));
        return ResponseEntity.ok()
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable())
                .contentType(MediaType.parseMediaType(kept.mediaType()))
                .body(kept.content());
    }
}
