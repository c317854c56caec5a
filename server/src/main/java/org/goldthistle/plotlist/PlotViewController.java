package org.goldthistle.plotlist;

import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.audit.AuditEntry;
import org.goldthistle.call.NextTree;
import org.goldthistle.entry.TreeOfObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Plots and trees in lists and maps. */
@RestController
@RequestMapping("/api/surveys/{surveyId}")
class PlotViewController {
    private final PlotViews views;
    private final TreeHistory history;

    PlotViewController(PlotViews views, TreeHistory history) {
        this.views = views;
        this.history = history;
    }

    /** The plots of a survey by code, with what is open in each. */
    @GetMapping("/plots")
    @ForObservers
    List<PlotRow> listPlots(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return views.plots(surveyId, observer.id());
    }

    /** The trees of a plot by tag. */
    @GetMapping("/plots/{plotId}/trees")
    @ForObservers
    List<TreeRow> listTrees(
            @PathVariable UUID surveyId,
            @PathVariable UUID plotId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return views.trees(surveyId, plotId, observer.id());
    }

    /** Where the observer goes on to from a tree, in its plot. */
    @GetMapping("/trees/{treeId}/next")
    @ForObservers
    NextTree showNextTree(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return views.next(surveyId, treeId, observer.id());
    }

    /** All that happened to a tree, the latest first, as far as the observer may see it. */
    @GetMapping("/trees/{treeId}/history")
    @ForObservers
    List<AuditEntry> showHistory(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return history.of(new TreeOfObserver(surveyId, treeId, observer.id()));
    }

    /** Trees by what was typed of their plot and tag, at most thirty. */
    @GetMapping("/trees")
    @ForObservers
    List<FoundTree> findTree(
            @PathVariable UUID surveyId,
            @RequestParam String find,
            @AuthenticationPrincipal SignedInObserver observer) {
        return views.find(surveyId, observer.id(), find);
    }
}
