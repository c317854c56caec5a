package org.goldthistle.practice;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sets of practice trees that a crew calls together. */
@RestController
@RequestMapping("/api/surveys/{surveyId}/practice-sets")
class PracticeSetController {
    private final PracticeSets sets;

    PracticeSetController(PracticeSets sets) {
        this.sets = sets;
    }

    /** The sets of a survey, the latest first. */
    @GetMapping
    @ForObservers
    List<SetDto> listPracticeSets(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return sets.of(surveyId, observer);
    }

    /** A set, with what came of it once it is closed. */
    @GetMapping("/{setId}")
    @ForObservers
    SetDto showPracticeSet(
            @PathVariable UUID surveyId, @PathVariable UUID setId, @AuthenticationPrincipal SignedInObserver observer) {
        return sets.find(surveyId, setId, observer);
    }

    /** Opens a set of ten trees of a group, the same for everybody. */
    @PutMapping("/{setId}")
    @ForLeads
    SetDto openPracticeSet(
            @PathVariable UUID surveyId,
            @PathVariable UUID setId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody OpenedSet body) {
        sets.open(surveyId, setId, body.groupId(), observer);
        return sets.find(surveyId, setId, observer);
    }

    /** Closes a set, so that everybody sees what came of it. */
    @PutMapping("/{setId}/closed")
    @ForLeads
    SetDto closePracticeSet(
            @PathVariable UUID surveyId, @PathVariable UUID setId, @AuthenticationPrincipal SignedInObserver observer) {
        sets.close(surveyId, setId, observer);
        return sets.find(surveyId, setId, observer);
    }

    /** The group whose trees they are. */
    record OpenedSet(@NotNull @Size(max = 60) String groupId) {}
}
