package org.goldthistle.survey;

import jakarta.validation.Valid;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Plots as they are entered; clients make the ids, so a retry after a lost answer changes nothing. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/plots/{plotId}")
class PlotController {
    private final PlotService plots;

    PlotController(PlotService plots) {
        this.plots = plots;
    }

    /** One plot. */
    @GetMapping
    @ForObservers
    PlotDto showPlot(
            @PathVariable UUID surveyId,
            @PathVariable UUID plotId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return plots.find(surveyId, plotId, observer.id());
    }

    /** Records a plot, or changes it. */
    @PutMapping
    @ForObservers
    PlotDto savePlot(
            @PathVariable UUID surveyId,
            @PathVariable UUID plotId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody PlotBody body) {
        return plots.save(surveyId, plotId, observer.id(), body);
    }

    /** Closes a plot, or opens it again. */
    @PutMapping("/closed")
    @ForObservers
    PlotDto closePlot(
            @PathVariable UUID surveyId,
            @PathVariable UUID plotId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody SurveyController.Closing body) {
        plots.close(surveyId, plotId, observer.id(), body.closed());
        return plots.find(surveyId, plotId, observer.id());
    }
}
