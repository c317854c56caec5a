package org.goldthistle.learning;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.platform.ForReviewers;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Utf8;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What the record teaches. */
@RestController
@RequestMapping("/api")
class LessonController {
    private final Lessons lessons;
    private final VerifiedFiles files;

    LessonController(Lessons lessons, VerifiedFiles files) {
        this.lessons = lessons;
        this.files = files;
    }

    /** How far what was believed of verified trees came true. */
    @GetMapping("/surveys/{surveyId}/lessons")
    @ForObservers
    LessonsDto showLessons(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return lessons.of(surveyId, observer);
    }

    /** What the verified trees of a group would change in its sheet. */
    @GetMapping("/surveys/{surveyId}/lessons/{groupId}")
    @ForObservers
    ProposalsDto showProposals(
            @PathVariable UUID surveyId,
            @PathVariable String groupId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return lessons.proposals(surveyId, groupId, observer);
    }

    /** The verified trees of a group as specimens, each with its truth, as the commands read them. */
    @GetMapping(path = "/surveys/{surveyId}/lessons/{groupId}/specimens", produces = MediaType.APPLICATION_JSON_VALUE)
    @ForObservers
    ResponseEntity<String> exportVerifiedTrees(
            @PathVariable UUID surveyId,
            @PathVariable String groupId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + groupId + ".verified.json\"")
                .body(lessons.specimens(surveyId, groupId, observer));
    }

    /** Adds a file of specimens of a group, each with its truth. */
    @PutMapping(path = "/verified-files/{fileId}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ForReviewers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void addVerifiedFile(
            @PathVariable UUID fileId,
            @RequestParam String groupId,
            @RequestParam(defaultValue = "") String name,
            @AuthenticationPrincipal SignedInObserver observer,
            HttpServletRequest request)
            throws IOException {
        files.keep(fileId, groupId, name, text(request), observer);
    }

    /** Takes such a file out. */
    @DeleteMapping("/verified-files/{fileId}")
    @ForReviewers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeVerifiedFile(@PathVariable UUID fileId, @AuthenticationPrincipal SignedInObserver observer) {
        files.remove(fileId, observer);
    }

    private static String text(HttpServletRequest request) throws IOException {
        byte[] content = request.getInputStream().readNBytes(VerifiedFiles.LARGEST + 1);
        if (content.length > VerifiedFiles.LARGEST) {
            throw Problem.unfit(
                    ProblemType.FILE_TOO_LARGE,
                    "This is larger than 5 MB. Nothing of it was taken; send the trees in several files.");
        }
        return Utf8.text(content)
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.NOT_TEXT,
                        "This file is no text in UTF-8. Nothing of it was taken; save it as UTF-8 and send it again."));
    }
}
