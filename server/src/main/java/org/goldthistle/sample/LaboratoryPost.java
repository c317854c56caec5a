package org.goldthistle.sample;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.goldthistle.core.Coded;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.laboratory.Tissue;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Parents;
import org.goldthistle.formats.LaboratoryJson;
import org.goldthistle.formats.SampleSent;
import org.goldthistle.library.LibraryService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClientException;

/**
 * Tells the laboratory of parcels and asks what it found, in the background and as often as it takes: what it was not told
 * stays due, and a message is asked for until it is kept.
 */
@Component
class LaboratoryPost {
    private static final Logger LOG = LoggerFactory.getLogger(LaboratoryPost.class);

    private static final int LONGEST_WORDS = 400;

    private final LaboratoryLine line;
    private final LaboratoryMessages messages;
    private final Parcels parcels;
    private final SampleStore store;
    private final LibraryService library;
    private final Optional<ParcelCarrier> carrier; // empty: the post, which we have no part in
    private volatile String trouble = "";

    LaboratoryPost(
            LaboratoryLine line,
            LaboratoryMessages messages,
            Parcels parcels,
            SampleStore store,
            LibraryService library,
            Optional<ParcelCarrier> carrier) {
        this.line = line;
        this.messages = messages;
        this.parcels = parcels;
        this.store = store;
        this.library = library;
        this.carrier = carrier;
    }

    /** Why the laboratory could not be asked the last time; empty: it could, or none is connected. */
    String trouble() {
        return trouble;
    }

    @Scheduled(fixedDelayString = "${goldthistle.laboratory.every:30s}")
    void goRound() {
        if (!line.isConnected()) {
            return;
        }
        parcels.due().forEach(this::announce);
        String now = "";
        try {
            messages.publish(line.methods());
            for (LaboratoryJson.Numbered message : line.resultsAfter(messages.last())) {
                messages.take(message);
            }
        } catch (RestClientException | RefusedException troubled) {
            now = words(troubled);
        }
        if (!now.equals(trouble)) {
            LOG.info("the laboratory: {}", now.isEmpty() ? "it answers again" : now);
        }
        trouble = now;
    }

    private void announce(Parcels.Due parcel) {
        List<SampleSent> samples = new ArrayList<>();
        List<SampleDto> inside = parcels.samplesIn(parcel.id());
        inside.forEach(sample -> samples.add(sent(sample)));
        if (samples.isEmpty()) {
            parcels.received(parcel, "nothing lies in it");
            return;
        }
        try {
            carrier.ifPresent(by -> by.carry(inside.stream()
                    .map(sample -> new ParcelCarrier.Bag(sample.code(), sample.treeId()))
                    .toList()));
            parcels.received(parcel, line.announce(parcel.code(), samples));
        } catch (RestClientException | RefusedException troubled) {
            parcels.troubled(parcel, words(troubled));
        }
    }

    private static String words(RuntimeException troubled) {
        String why = troubled instanceof RefusedException
                ? "Its answer cannot be understood: " + troubled.getMessage()
                : "It cannot be reached, or refuses: " + troubled.getMessage();
        String printed = why.replaceAll("\\p{Cntrl}+", " "); // it may quote what came
        return printed.substring(0, Math.min(LONGEST_WORDS, printed.length()));
    }

    private SampleSent sent(SampleDto sample) {
        GroupSheet sheet = library.newest(sample.groupId()).sheet();
        Analysis analysis = Coded.find(Analysis.values(), sample.analysis()).orElseThrow();
        Optional<Parents> parents = analysis == Analysis.MARKERS
                ? Samples.hybrid(sheet, store.hybrid(sample.id())).flatMap(taxon -> taxon.parents())
                : Optional.empty();
        return new SampleSent(
                sample.code(),
                Coded.find(Tissue.values(), sample.tissue()).orElseThrow(),
                sample.life().stream()
                        .filter(step -> step.step() == SampleStep.TAKEN)
                        .findFirst()
                        .map(step ->
                                step.at().atZone(ZoneOffset.UTC).toLocalDate().toString())
                        .orElseThrow(),
                analysis,
                sheet.taxa().stream()
                        .map(taxon -> taxon.name().scientificName())
                        .toList(),
                parents.map(two -> List.of(scientific(sheet, two.first()), scientific(sheet, two.second())))
                        .orElse(List.of()));
    }

    private static String scientific(GroupSheet sheet, String taxonId) {
        return sheet.taxon(taxonId).orElseThrow().name().scientificName();
    }
}
