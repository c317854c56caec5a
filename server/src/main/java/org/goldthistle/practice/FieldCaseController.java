package org.goldthistle.practice;

import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.survey.SurveyService;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Settled cases as practice. */
@RestController
@RequestMapping("/api")
class FieldCaseController {
    private final FieldCases cases;
    private final SurveyService surveys;

    FieldCaseController(FieldCases cases, SurveyService surveys) {
        this.cases = cases;
        this.surveys = surveys;
    }

    /** Settled cases with photos that the observer had no part in; what became of those that they called already. */
    @GetMapping("/practice/cases")
    @ForObservers
    List<FieldCaseDto> listFieldCases(@AuthenticationPrincipal SignedInObserver observer) {
        return cases.of(observer);
    }

    /** Keeps what the observer called a case by its photos, and tells what became of it. */
    @PutMapping("/practice/cases/{caseId}/tries/{tryId}")
    @ForObservers
    FieldTry.FieldResult keepFieldTry(
            @PathVariable UUID caseId,
            @PathVariable UUID tryId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody FieldTry body) {
        return cases.keep(caseId, tryId, observer, body);
    }

    /** The reviews of a survey that are withheld from practice. */
    @GetMapping("/surveys/{surveyId}/practice-withheld")
    @ForLeads
    List<UUID> listWithheld(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        surveys.requireMember(surveyId, observer.id());
        return cases.withheld(surveyId);
    }

    /** Withholds a review from practice, or gives it free again. */
    @PutMapping("/surveys/{surveyId}/practice-withheld/{caseId}")
    @ForLeads
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withholdCase(
            @PathVariable UUID surveyId,
            @PathVariable UUID caseId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody WithheldCase body) {
        cases.withhold(surveyId, caseId, observer, body.withheld());
    }

    /** Whether it is withheld. */
    record WithheldCase(boolean withheld) {}
}
