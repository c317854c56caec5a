package org.goldthistle.bench;

import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.MeterRegistry;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.survey.TreeService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Hears where a browser reckoned other figures than the server: there must be none, so each is logged and counted. */
@RestController
class FigureDifferences {
    private static final Logger LOG = LoggerFactory.getLogger(FigureDifferences.class);

    private final TreeService trees;
    private final Counter counted;

    FigureDifferences(TreeService trees, MeterRegistry meters) {
        this.trees = trees;
        this.counted = Counter.builder("goldthistle.figures.differ")
                .description("calls that a browser and the server reckoned differently")
                .register(meters);
    }

    /** Tells that a browser reckoned other figures of a call than the server; the server's stand. */
    @PostMapping("/api/surveys/{surveyId}/trees/{treeId}/figure-differences")
    @ForObservers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tellDifference(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody FigureDifference found) {
        trees.tree(surveyId, treeId, observer.id()); // who may see it may tell it
        counted.increment();
        LOG.warn(
                "figures differ on tree {} for {}: {}",
                treeId,
                observer.callSign(),
                found.where().replaceAll("\\p{Cntrl}", " "));
    }

    /** @param where the first place where they differ, with both values */
    record FigureDifference(@NotNull @Size(max = 500) String where) {}
}
