package org.goldthistle.survey;

import jakarta.validation.Valid;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Trees as they are entered; clients make the ids, so a retry after a lost answer changes nothing. */
@RestController
@RequestMapping("/api/surveys/{surveyId}")
class TreeController {
    private final TreeService trees;

    TreeController(TreeService trees) {
        this.trees = trees;
    }

    /** One tree as it was entered. */
    @GetMapping("/trees/{treeId}")
    @ForObservers
    TreeDto showTree(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return trees.find(surveyId, treeId, observer.id());
    }

    /** Records a tree, or changes it. */
    @PutMapping("/plots/{plotId}/trees/{treeId}")
    @ForObservers
    TreeDto saveTree(
            @PathVariable UUID surveyId,
            @PathVariable UUID plotId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody TreeBody body) {
        return trees.save(surveyId, plotId, treeId, observer.id(), body);
    }

    /** Strikes a tree that was recorded by mistake. */
    @DeleteMapping("/trees/{treeId}")
    @ForObservers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeTree(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        trees.remove(surveyId, treeId, observer.id());
    }
}
