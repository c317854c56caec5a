package org.goldthistle.sample;

import jakarta.validation.Valid;
import java.io.IOException;
import java.util.List;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.formats.LaboratoryMethods;
import org.goldthistle.platform.Attachment;
import org.goldthistle.platform.ForObservers;
import org.goldthistle.survey.SurveyService;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Samples for the laboratory, the parcels that they go in, and what comes back. */
@RestController
@RequestMapping("/api/surveys/{surveyId}")
class SampleController {
    private final Samples samples;
    private final Parcels parcels;
    private final ParcelFiles files;
    private final LaboratoryMessages messages;
    private final LaboratoryResults results;
    private final LaboratoryPost post;
    private final SurveyService surveys;

    SampleController(
            Samples samples,
            Parcels parcels,
            ParcelFiles files,
            LaboratoryMessages messages,
            LaboratoryResults results,
            LaboratoryPost post,
            SurveyService surveys) {
        this.samples = samples;
        this.parcels = parcels;
        this.files = files;
        this.messages = messages;
        this.results = results;
        this.post = post;
        this.surveys = surveys;
    }

    /** The samples of a survey with their lives, those that go on first; its parcels; what the laboratory says. */
    @GetMapping("/samples")
    @ForObservers
    SamplesDto listSamples(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer) {
        List<SampleDto> all = samples.of(surveyId, observer.id());
        return new SamplesDto(
                surveys.rulesOfTheirs(observer.id()).get(surveyId).laboratoryUsed(),
                messages.methods().map(LaboratoryMethods::laboratory).orElse(null),
                post.trouble(),
                all,
                parcels.of(surveyId),
                results.troubles(surveyId, observer.id()));
    }

    /** Asks for a sample of a tree. */
    @PutMapping("/samples/{sampleId}")
    @ForObservers
    SampleDto askForSample(
            @PathVariable UUID surveyId,
            @PathVariable UUID sampleId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewSample body) {
        return samples.ask(surveyId, sampleId, observer, body);
    }

    /** A sample goes a step on: it was taken, lost, spoilt, or is not wanted any more. */
    @PutMapping("/samples/{sampleId}/steps/{stepId}")
    @ForObservers
    SampleDto goOnWithSample(
            @PathVariable UUID surveyId,
            @PathVariable UUID sampleId,
            @PathVariable UUID stepId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewStep body) {
        return samples.goOn(surveyId, sampleId, stepId, observer, body);
    }

    /** The labels of the samples that are to be taken or lie at hand, to print on A4 and cut out. */
    @GetMapping(path = "/samples/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @ForObservers
    @AnswersPdf
    ResponseEntity<byte[]> printLabels(@PathVariable UUID surveyId, @AuthenticationPrincipal SignedInObserver observer)
            throws IOException {
        List<SampleDto> atHand = samples.of(surveyId, observer.id()).stream()
                .filter(sample -> sample.step() == SampleStep.ASKED || sample.step() == SampleStep.TAKEN)
                .toList();
        return Attachment.named("labels.pdf", MediaType.APPLICATION_PDF).body(files.labels(atHand));
    }

    /** Makes a parcel of samples that were taken; a laboratory that is connected is told of it. */
    @PutMapping("/parcels/{parcelId}")
    @ForObservers
    ParcelDto makeParcel(
            @PathVariable UUID surveyId,
            @PathVariable UUID parcelId,
            @AuthenticationPrincipal SignedInObserver observer,
            @Valid @RequestBody NewParcel body) {
        return parcels.make(surveyId, parcelId, observer, body);
    }

    /** What lies in a parcel, to print and to go with it. */
    @GetMapping(path = "/parcels/{parcelId}/list.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @ForObservers
    @AnswersPdf
    ResponseEntity<byte[]> printParcel(
            @PathVariable UUID surveyId,
            @PathVariable UUID parcelId,
            @AuthenticationPrincipal SignedInObserver observer)
            throws IOException {
        ParcelDto parcel = parcels.find(surveyId, parcelId, observer.id());
        return Attachment.named(parcel.code() + ".pdf", MediaType.APPLICATION_PDF)
                .body(files.list(parcel, parcels.samplesIn(parcelId)));
    }

    /** What lies in a parcel, as a table. */
    @GetMapping(path = "/parcels/{parcelId}/list.csv", produces = "text/csv")
    @ForObservers
    ResponseEntity<byte[]> exportParcel(
            @PathVariable UUID surveyId,
            @PathVariable UUID parcelId,
            @AuthenticationPrincipal SignedInObserver observer)
            throws IOException {
        ParcelDto parcel = parcels.find(surveyId, parcelId, observer.id());
        return Attachment.named(parcel.code() + ".csv", Attachment.CSV).body(files.csv(parcels.samplesIn(parcelId)));
    }
}
