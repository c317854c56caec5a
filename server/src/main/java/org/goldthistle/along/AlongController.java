package org.goldthistle.along;

import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What is taken along into the woods. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/along")
class AlongController {
    private final AlongService along;

    AlongController(AlongService along) {
        this.along = along;
    }

    /**
     * Plots with their trees and the observer's calls, to work on them without a network.
     *
     * @param plot ids of the plots
     */
    @GetMapping
    @ForObservers
    AlongDto takeAlong(
            @PathVariable UUID surveyId,
            @RequestParam(defaultValue = "") List<UUID> plot,
            @AuthenticationPrincipal SignedInObserver observer) {
        return along.of(surveyId, plot, observer.id());
    }
}
