package org.goldthistle.today;

import java.time.Instant;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What an observer should do today. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/today")
class TodayController {
    private final Today today;

    private final DayEnd end;

    TodayController(Today today, DayEnd end) {
        this.today = today;
        this.end = end;
    }

    /** What the observer should do today. */
    @GetMapping
    @ForObservers
    TodayDto showToday(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return today.of(surveyId, observer);
    }

    /** What the observer did in a day, and what is left of it. */
    @GetMapping("/end")
    @ForObservers
    DayEndDto showDayEnd(
            @PathVariable UUID surveyId,
            @RequestParam(required = false) Instant from,
            @RequestParam(required = false) Instant to,
            @AuthenticationPrincipal SignedInObserver observer) {
        return end.of(surveyId, observer.id(), from, to);
    }
}
