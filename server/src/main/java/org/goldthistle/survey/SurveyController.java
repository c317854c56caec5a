package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The surveys of the observer who is signed in. */
@RestController
@RequestMapping("/api/surveys")
class SurveyController {
    private final SurveyService surveys;

    SurveyController(SurveyService surveys) {
        this.surveys = surveys;
    }

    /** The surveys that the observer belongs to, the newest season first. */
    @GetMapping
    List<SurveyDto> list(@AuthenticationPrincipal SignedInObserver observer) {
        return surveys.surveysOf(observer.id()).stream()
                .map(survey -> new SurveyDto(survey.id(), survey.name(), survey.district(), survey.season()))
                .toList();
    }

    /** A survey in a list; the season is a year. */
    record SurveyDto(UUID id, String name, String district, int season) {}
}
