package org.goldthistle.survey;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
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
        return surveys.surveysOf(observer.id()).stream().map(SurveyDto::of).toList();
    }

    /** Changes what a survey allows; for its lead. */
    @PutMapping("/{surveyId}/permissions")
    SurveyDto change(
            @PathVariable UUID surveyId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody Permissions body) {
        return SurveyDto.of(surveys.change(surveyId, observer, body.woundingAllowed(), body.photoPositionKept()));
    }

    /** Whether trees may be wounded for a check, and whether photos keep where they were taken. */
    record Permissions(
            @NotNull Boolean woundingAllowed, @NotNull Boolean photoPositionKept) {}

    /** A survey in a list with what it allows; the season is a year. */
    record SurveyDto(
            UUID id, String name, String district, int season, boolean woundingAllowed, boolean photoPositionKept) {
        static SurveyDto of(Survey survey) {
            return new SurveyDto(
                    survey.id(),
                    survey.name(),
                    survey.district(),
                    survey.season(),
                    survey.woundingAllowed(),
                    survey.photoPositionKept());
        }
    }
}
