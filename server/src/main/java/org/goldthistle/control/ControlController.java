package org.goldthistle.control;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.LookAsked;
import org.goldthistle.platform.Attachment;
import org.goldthistle.platform.ForContractors;
import org.goldthistle.platform.ForLeads;
import org.goldthistle.platform.ForObservers;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The control list, the cards of its trees, the last look and what was done. */
@RestController
@RequestMapping("/api")
class ControlController {
    private final ControlList list;
    private final ControlService control;
    private final ControlFiles files;

    ControlController(ControlList list, ControlService control, ControlFiles files) {
        this.list = list;
        this.control = control;
        this.files = files;
    }

    /** The trees that stand as an invasive taxon: those that may be controlled, and what the others lack. */
    @GetMapping("/surveys/{surveyId}/control")
    @ForObservers
    ControlListDto showControl(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        return list.of(surveyId, observer);
    }

    /** Approves a tree for control, or takes that back. */
    @PutMapping("/surveys/{surveyId}/control/trees/{treeId}/approvals/{approvalId}")
    @ForLeads
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void approveControl(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @PathVariable UUID approvalId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody ApprovedDto body) {
        control.approve(surveyId, treeId, observer, approvalId, body.determinationId(), body.approved());
    }

    /** What was read at a tree before it was to be cut, and what was done there, the latest first. */
    @GetMapping("/surveys/{surveyId}/control/trees/{treeId}")
    @ForObservers
    TreeSaidDto showControlOfTree(
            @PathVariable UUID surveyId,
            @PathVariable UUID treeId,
            @AuthenticationPrincipal SignedInObserver observer) {
        return control.said(surveyId, treeId, observer);
    }

    /** The cards of the trees that were approved and stand, in all surveys of whoever asks. */
    @GetMapping("/control/cards")
    @ForContractors
    List<CardDto> listCards(@AuthenticationPrincipal SignedInObserver observer) {
        return list.cards(observer);
    }

    /** Keeps a last look at a tree, and tells what it says. */
    @PutMapping("/surveys/{surveyId}/control/looks/{lookId}")
    @ForContractors
    LookAsked.LookResult keepLook(
            @PathVariable UUID surveyId,
            @PathVariable UUID lookId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewLook body) {
        return control.look(surveyId, lookId, observer, body);
    }

    /** Records what was done with a tree. */
    @PutMapping("/surveys/{surveyId}/control/works/{workId}")
    @ForContractors
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepWork(
            @PathVariable UUID surveyId,
            @PathVariable UUID workId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewWork body) {
        control.work(surveyId, workId, observer, body);
    }

    /** The approved trees as a table. */
    @GetMapping(path = "/surveys/{surveyId}/control.csv", produces = "text/csv")
    @ForObservers
    ResponseEntity<byte[]> exportControlCsv(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) throws IOException {
        ControlListDto all = list.of(surveyId, observer);
        return Attachment.named(all.surveyName() + " control.csv", Attachment.CSV)
                .body(files.csv(all));
    }

    /** The approved trees as a map, with what stands near them. */
    @GetMapping(path = "/surveys/{surveyId}/control.geojson", produces = "application/geo+json")
    @ForObservers
    ResponseEntity<byte[]> exportControlGeoJson(
            @PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) throws IOException {
        ControlListDto all = list.of(surveyId, observer);
        return Attachment.named(all.surveyName() + " control.geojson", Attachment.GEO_JSON)
                .body(files.geoJson(all));
    }

    /**
     * Whether a tree is approved.
     *
     * @param determinationId of the call that stood when the lead looked
     * @param approved whether it may be cut after its last look; false takes an approval back
     */
    record ApprovedDto(@NotNull UUID determinationId, boolean approved) {}
}
