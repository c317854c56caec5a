package org.goldthistle.draft;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.CodeOf;
import org.goldthistle.core.learning.Proposal;
import org.goldthistle.core.sheet.LifeStage;
import org.goldthistle.core.sheet.School;
import org.goldthistle.library.ChangeDto;
import org.goldthistle.platform.ForReviewers;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.lang.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Drafts of sheets, for reviewers and leads. */
@RestController
@RequestMapping("/api/drafts")
class DraftController {
    private final DraftService drafts;
    private final DraftSeasons seasons;
    private final Effects effects;
    private final ObjectMapper json;

    DraftController(DraftService drafts, DraftSeasons seasons, Effects effects, ObjectMapper json) {
        this.drafts = drafts;
        this.seasons = seasons;
        this.effects = effects;
        this.json = json;
    }

    /** Every draft, the last changed first. */
    @GetMapping
    @ForReviewers
    List<DraftDto.DraftRow> listDrafts(@AuthenticationPrincipal SignedInObserver observer) {
        return drafts.all(observer.id());
    }

    /** A draft as far as it has come. */
    @GetMapping("/{draftId}")
    @ForReviewers
    DraftDto showDraft(@PathVariable UUID draftId, @AuthenticationPrincipal SignedInObserver observer) {
        return drafts.show(draftId, observer);
    }

    /** Begins a draft, or goes on with the one that the observer has of the group; its id is in the answer. */
    @PutMapping("/{draftId}")
    @ForReviewers
    DraftDto beginDraft(
            @PathVariable UUID draftId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewDraft body) {
        return drafts.begin(draftId, body, observer);
    }

    /** Begins a draft with a sheet that was made elsewhere, as it is. */
    @PutMapping(path = "/{draftId}/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ForReviewers
    DraftDto beginDraftFromFile(
            @PathVariable UUID draftId, @AuthenticationPrincipal SignedInObserver observer, HttpServletRequest request)
            throws IOException {
        return drafts.take(draftId, content(request), observer);
    }

    /** Takes the profiles of a table over into a draft. */
    @PutMapping(path = "/{draftId}/matrix", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ForReviewers
    DraftDto takeMatrixIntoDraft(
            @PathVariable UUID draftId, @AuthenticationPrincipal SignedInObserver observer, HttpServletRequest request)
            throws IOException {
        return drafts.takeMatrix(draftId, content(request), observer);
    }

    private static byte[] content(HttpServletRequest request) throws IOException {
        byte[] content = request.getInputStream().readNBytes(DraftService.LARGEST + 1);
        if (content.length > DraftService.LARGEST) {
            throw DraftService.tooLarge();
        }
        return content;
    }

    /** Keeps a draft as far as it has come. */
    @PutMapping("/{draftId}/sheet")
    @ForReviewers
    DraftDto changeDraft(
            @PathVariable UUID draftId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody ChangedSheet body) {
        return drafts.change(draftId, body.revision(), body.sheet(), observer);
    }

    /** Takes over into a draft what verified trees would change of one character. */
    @PutMapping("/{draftId}/proposals")
    @ForReviewers
    DraftDto takeProposal(
            @PathVariable UUID draftId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody TakenProposal body) {
        return drafts.takeProposal(draftId, body, observer);
    }

    /** Throws a draft away. */
    @DeleteMapping("/{draftId}")
    @ForReviewers
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void discardDraft(@PathVariable UUID draftId, @AuthenticationPrincipal SignedInObserver observer) {
        drafts.discard(draftId, observer);
    }

    /** What a draft changes of the version it was begun from. */
    @GetMapping("/{draftId}/differences")
    @ForReviewers
    List<ChangeDto> showDraftDifferences(@PathVariable UUID draftId) {
        return drafts.differences(draftId).stream().map(ChangeDto::of).toList();
    }

    /** How well the taxa can be told apart through the year, by the version it was begun from and by the draft. */
    @GetMapping("/{draftId}/season")
    @ForReviewers
    DraftSeasons.DraftSeasonDto showDraftSeason(
            @PathVariable UUID draftId,
            @RequestParam(defaultValue = "mature") @CodeOf(LifeStage.class) String stage,
            @RequestParam(required = false) @CodeOf(School.class) String school,
            @RequestParam(defaultValue = "false") boolean wounding) {
        return seasons.of(draftId, stage, Optional.ofNullable(school), wounding);
    }

    /**
     * What would become of the calls on record: a line of JSON each time some were read again, the last with what came
     * out.
     */
    @GetMapping(path = "/{draftId}/effects", produces = "application/x-ndjson")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = Effects.EffectsDto.class)))
    @ForReviewers
    ResponseEntity<StreamingResponseBody> playDraftEffects(
            @PathVariable UUID draftId, @AuthenticationPrincipal SignedInObserver observer) {
        drafts.sheetOf(draftId); // a draft that breaks a rule is answered before anything is sent
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/x-ndjson"))
                .body(to -> send(to, effects.of(draftId, observer.id(), line -> send(to, line))));
    }

    private void send(OutputStream to, Effects.EffectsDto line) {
        try {
            to.write((json.writeValueAsString(line) + "\n").getBytes(StandardCharsets.UTF_8));
            to.flush();
        } catch (IOException gone) {
            throw new UncheckedIOException(gone); // nobody listens any more, so nothing more is reckoned
        }
    }

    /** Makes a draft the newest version of its group, and ends it. */
    @PutMapping("/{draftId}/version")
    @ForReviewers
    SavedVersion saveDraftAsVersion(
            @PathVariable UUID draftId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewVersion body) {
        StoredSheet saved = drafts.save(draftId, body.note(), Optional.ofNullable(body.over()), observer);
        return new SavedVersion(saved.sheet().id(), saved.id(), saved.version());
    }

    /** A sheet as far as it has come, and the revision of the draft it was changed from. */
    record ChangedSheet(
            int revision,

            @NotNull @Schema(types = "object", additionalProperties = Schema.AdditionalPropertiesValue.TRUE)
            JsonNode sheet) {}

    /**
     * A change that verified trees speak for.
     *
     * @param surveyId whose trees they are
     * @param kind weight or profiles
     */
    record TakenProposal(
            @NotNull UUID surveyId,
            @NotNull String character,
            @NotNull @CodeOf(Proposal.Kind.class) String kind) {}

    /**
     * Why a version is made.
     *
     * @param over the newest version, where it is another than the draft was begun from and was looked at
     */
    record NewVersion(@NotNull String note, @Nullable UUID over) {}

    /** A version that was made. */
    record SavedVersion(String groupId, UUID versionId, int version) {}
}
