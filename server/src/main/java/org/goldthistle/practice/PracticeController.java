package org.goldthistle.practice;

import jakarta.validation.Valid;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.PracticeResult;
import org.goldthistle.core.practice.SignedOff;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.survey.SurveyService;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Practice trees, what became of them, and what surveys ask for. */
@RestController
@RequestMapping("/api")
class PracticeController {
    private final Tries tries;
    private final MyPractice mine;
    private final SignOffs signOffs;
    private final SurveyService surveys;

    PracticeController(Tries tries, MyPractice mine, SignOffs signOffs, SurveyService surveys) {
        this.tries = tries;
        this.mine = mine;
        this.signOffs = signOffs;
        this.surveys = surveys;
    }

    /** What the observer practised, what sits and what slips, and what comes next; nobody else is shown it. */
    @GetMapping("/practice")
    @ForObservers
    MyPracticeDto showPractice(@AuthenticationPrincipal SignedInObserver observer) {
        return mine.of(observer.id());
    }

    /** Keeps what the observer made of a practice tree, and tells what became of it. */
    @PutMapping("/practice/tries/{tryId}")
    @ForObservers
    PracticeResult keepTry(
            @PathVariable UUID tryId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewTry body) {
        return tries.keep(observer.id(), tryId, body);
    }

    /** What a survey asks to be practised first, and how far its crew is; whoever does not lead sees their own alone. */
    @GetMapping("/surveys/{surveyId}/practice")
    @ForObservers
    CrewPracticeDto showSignedOff(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        surveys.requireMember(surveyId, observer.id());
        Optional<UUID> only = observer.role() == Role.LEAD ? Optional.empty() : Optional.of(observer.id());
        return new CrewPracticeDto(
                new SignOffRule(SignedOff.USUAL.needed(), SignedOff.USUAL.of()),
                signOffs.ofCrew(surveyId, only).stream()
                        .map(one -> new PracticeStandingDto(one.callSign(), one.standing()))
                        .toList());
    }

    /** Sets what a survey asks to be practised in a group, from now on; nothing is asked where nothing is needed. */
    @PutMapping("/surveys/{surveyId}/practice/{groupId}")
    @ForLeads
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setSignedOff(
            @PathVariable UUID surveyId,
            @PathVariable String groupId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody SignOffRule body) {
        signOffs.set(surveyId, groupId, observer, body.needed(), body.of());
    }

    /** Trees called rightly, of so many in a row. */
    record SignOffRule(int needed, int of) {}

    /**
     * What is asked for, and where the crew stands.
     *
     * @param usual what is asked for where nobody says otherwise
     * @param standings by call sign and group
     */
    record CrewPracticeDto(SignOffRule usual, List<PracticeStandingDto> standings) {}

    /** Where somebody of the crew stands. */
    record PracticeStandingDto(String callSign, SignedOffDto standing) {}
}
