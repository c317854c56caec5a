package org.goldthistle.photo;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import org.goldthistle.formats.ScaleCard;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The card that is laid beside a leaf. */
@RestController
class ScaleCardController {
    /** A page of cards to print at their own size and to lay beside leaves, so that a photo tells how large they are. */
    @GetMapping("/api/scale-card")
    @ForObservers
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "image/svg+xml", schema = @Schema(type = "string")))
    ResponseEntity<String> showScaleCard() {
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("image/svg+xml"))
                .body(ScaleCard.svg());
    }
}
