package org.goldthistle.review;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.CaseReason;
import org.goldthistle.core.CodeOf;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.survey.SurveyService;
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
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The reviews of a survey. Clients make the ids, so a retry after a lost answer changes nothing. */
@RestController
@RequestMapping("/api/surveys/{surveyId}")
class ReviewController {
    private final Queue queue;
    private final ReviewService reviews;
    private final CaseFiles files;
    private final NewsStream news;
    private final SurveyService surveys;

    ReviewController(Queue queue, ReviewService reviews, CaseFiles files, NewsStream news, SurveyService surveys) {
        this.queue = queue;
        this.reviews = reviews;
        this.files = files;
        this.news = news;
        this.surveys = surveys;
    }

    /** The ids of the cases of a survey as they change, as server-sent events. */
    @GetMapping(path = "/review/news", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @ForObservers
    SseEmitter followNews(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer, HttpSession session) {
        surveys.requireMember(surveyId, observer.id());
        return news.open(surveyId, session.getId());
    }

    /** A page of the queue. */
    @GetMapping("/review")
    @ForObservers
    QueueDto showQueue(
            @PathVariable UUID surveyId,
            @RequestParam(defaultValue = "false") boolean settled,
            @RequestParam(defaultValue = "false") boolean mine,
            @RequestParam(required = false) String group,
            @RequestParam(required = false) UUID plot,
            @RequestParam(required = false) @CodeOf(CaseReason.class) String reason,
            @RequestParam(required = false) Integer days,
            @RequestParam(defaultValue = "0") int from,
            @AuthenticationPrincipal SignedInObserver observer) {
        return queue.page(
                surveyId, observer, new Queue.Asked(settled, mine, group, plot, reason, days, Math.max(0, from)));
    }

    /** A review as the observer may see it. */
    @GetMapping("/review/{caseId}")
    @ForObservers
    CaseDto showCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return reviews.find(surveyId, caseId, observer);
    }

    /** The latest review of a tree; no content if it never had one. */
    @GetMapping("/trees/{treeId}/review")
    @ForObservers
    ResponseEntity<CaseDto> showCaseOfTree(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return reviews.ofTree(surveyId, treeId, observer)
                .map(ResponseEntity::ok)
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** Takes a case up to read its tree blind. */
    @PutMapping("/review/{caseId}/taken")
    @ForObservers
    CaseDto takeCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return reviews.take(surveyId, caseId, observer, true);
    }

    /** Leaves a case that was taken up to somebody else. */
    @DeleteMapping("/review/{caseId}/taken")
    @ForObservers
    CaseDto releaseCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return reviews.take(surveyId, caseId, observer, false);
    }

    /** The file of a settled case, from which its figures can be reckoned again. */
    @GetMapping("/review/{caseId}/file")
    @ForObservers
    JsonNode exportCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return files.of(surveyId, caseId, observer);
    }

    /** Says something of a case. */
    @PutMapping("/review/{caseId}/words/{wordId}")
    @ForObservers
    CaseDto sayOfCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @PathVariable UUID wordId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewWord body) {
        return reviews.say(surveyId, caseId, wordId, observer, body);
    }

    /** Marks what stands by a settled case as verified, or takes that back. */
    @PutMapping("/review/{caseId}/verifications/{verificationId}")
    @ForLeads
    CaseDto verifyCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @PathVariable UUID verificationId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewVerification body) {
        return reviews.verify(surveyId, caseId, verificationId, observer, body.verified());
    }

    /** Whether what stands is the truth. */
    record NewVerification(@NotNull Boolean verified) {}

    /** Decides a case. */
    @PutMapping("/review/{caseId}/decisions/{decisionId}")
    @ForObservers
    CaseDto decideCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @PathVariable UUID decisionId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewDecision body) {
        return reviews.decide(surveyId, caseId, decisionId, observer, body);
    }
}
