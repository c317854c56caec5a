package org.goldthistle.quality;

import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.platform.ForObservers;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The quality of a survey's calls. */
@RestController
@RequestMapping("/api/surveys/{surveyId}")
class QualityController {
    private final AgreementService agreement;

    QualityController(AgreementService agreement) {
        this.agreement = agreement;
    }

    /** How far the survey's observers agree. */
    @GetMapping("/agreement")
    @ForObservers
    AgreementDto showAgreement(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return agreement.of(surveyId, observer.id());
    }
}
