package org.goldthistle.photo;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.bench.BenchDto;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Photos of the observer's calls. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/trees/{treeId}/photos")
class PhotoController {
    private final PhotoService photos;

    PhotoController(PhotoService photos) {
        this.photos = photos;
    }

    /** Keeps a photo, the body being the file as it is; what it is is told by its content. */
    @PutMapping(path = "/{photoId}", consumes = MediaType.ALL_VALUE)
    @ForObservers
    BenchDto addPhoto(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @PathVariable UUID photoId,
            @RequestParam(required = false) String character,
            @AuthenticationPrincipal SignedInObserver observer,
            HttpServletRequest request)
            throws IOException {
        return photos.add(
                new TreeOfObserver(surveyId, treeId, observer.id()),
                photoId,
                Optional.ofNullable(character),
                request.getInputStream());
    }

    /** A photo's file; it never changes. */
    @GetMapping("/{photoId}")
    @ForObservers
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = "image/*", schema = @Schema(type = "string", format = "binary")))
    void showPhoto(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @PathVariable UUID photoId,
            @AuthenticationPrincipal SignedInObserver observer,
            HttpServletResponse response)
            throws IOException {
        ServedPhoto photo = photos.find(new TreeOfObserver(surveyId, treeId, observer.id()), photoId);
        response.setContentType(photo.mediaType());
        response.setContentLength(photo.sizeBytes());
        response.setHeader(HttpHeaders.ETAG, '"' + photo.sha256() + '"');
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store"); // whoever uses the device next has not seen it
        photos.write(photo, response.getOutputStream());
    }
}
