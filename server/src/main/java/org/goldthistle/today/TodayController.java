package org.goldthistle.today;

import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What an observer should do today. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/today")
class TodayController {
    private final Today today;

    TodayController(Today today) {
        this.today = today;
    }

    /** What the observer should do today. */
    @GetMapping
    @ForObservers
    TodayDto showToday(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return today.of(surveyId, observer);
    }
}
