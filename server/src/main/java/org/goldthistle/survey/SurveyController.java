package org.goldthistle.survey;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.verdict.Costs;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The surveys of the observer who is signed in. */
@RestController
@RequestMapping("/api/surveys")
class SurveyController {
    private final SurveyService surveys;

    SurveyController(SurveyService surveys) {
        this.surveys = surveys;
    }

    /** The surveys that the observer belongs to, the open ones and the newest season first. */
    @GetMapping
    @ForObservers
    List<SurveyDto> listSurveys(@AuthenticationPrincipal SignedInObserver observer) {
        return surveys.surveysOf(observer.id());
    }

    /** Sets a survey up, or changes how it is set up. */
    @PutMapping("/{surveyId}")
    @ForLeads
    SurveyDto saveSurvey(
            @PathVariable UUID surveyId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody SurveySettings body) {
        return surveys.save(surveyId, observer.id(), body);
    }

    /** Closes a survey, or opens it again. */
    @PutMapping("/{surveyId}/closed")
    @ForLeads
    SurveyDto closeSurvey(
            @PathVariable UUID surveyId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody Closing body) {
        surveys.close(surveyId, observer.id(), body.closed());
        return surveys.find(surveyId, observer.id());
    }

    /** The share of belief at which a call is signed when mistakes cost so much; a record or control may ask for more. */
    @GetMapping("/threshold")
    @ForObservers
    Threshold showThreshold(@RequestParam double wrongYes, @RequestParam double wrongNo) {
        return new Threshold(new Costs(wrongYes, wrongNo).threshold(Tier.TALLY));
    }

    /** A share of belief, in [0, 1]. */
    record Threshold(double share) {}

    /** Whether it is to be closed, or open. */
    record Closing(@NotNull Boolean closed) {}
}
