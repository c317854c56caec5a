package org.goldthistle.signing;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.KeptPicture;
import org.goldthistle.call.NewReading;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.SignedView;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.Taken;
import org.goldthistle.call.Thistle;
import org.goldthistle.core.Coded;
import org.goldthistle.core.balance.Weighing;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.core.verdict.Terms;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The signed calls of a tree, for reviews: as they were signed, and what comes to stand in their place. */
@Service
public class SignedCalls {
    private final TreeSignatures signatures;
    private final DeterminationRepository determinations;
    private final CallStates states;
    private final TreeService trees;
    private final LibraryService library;

    SignedCalls(
            TreeSignatures signatures,
            DeterminationRepository determinations,
            CallStates states,
            TreeService trees,
            LibraryService library) {
        this.signatures = signatures;
        this.determinations = determinations;
        this.states = states;
        this.trees = trees;
        this.library = library;
    }

    /**
     * What was signed for a tree.
     *
     * @param last what observers signed on the Bench, the last of each, by when they first signed
     * @param all everything that was ever signed, the newest first
     */
    public record OfTree(List<SignedCall> last, List<SignedView> all) {}

    /** What observers signed on the Bench, the last of each, by when they first signed. */
    @Transactional(readOnly = true)
    public List<SignedCall> of(SurveyedTree tree) {
        return laidOut(tree).last();
    }

    /** The same, and everything that was signed. */
    @Transactional(readOnly = true)
    public OfTree laidOut(SurveyedTree tree) {
        List<Determination> newestFirst = signatures.signedFor(tree.id());
        List<SignedView> shown = signatures.dtos(newestFirst);
        Map<UUID, SignedCall> last = new LinkedHashMap<>();
        for (int i = newestFirst.size() - 1; i >= 0; i--) {
            Determination one = newestFirst.get(i);
            if (one.settles() == null) {
                last.put(one.observerId(), signedCall(tree, one, shown.get(i)));
            }
        }
        return new OfTree(List.copyOf(last.values()), shown);
    }

    /** Everything that was ever signed for a tree, the newest first. */
    @Transactional(readOnly = true)
    public List<SignedView> all(SurveyedTree tree) {
        return signatures.dtos(signatures.signedFor(tree.id()));
    }

    /** Keeps the states of all calls on a tree, after more or less of it came to be shown. */
    @Transactional
    public void keepStates(SurveyedTree tree) {
        states.keepAll(tree);
    }

    /**
     * Signs what a review came to: it supersedes all that was signed before, which stays on record. Whoever calls it
     * keeps the states afterwards, once it is settled who is shown what.
     *
     * @param source the call whose record it takes over
     */
    @Transactional
    public void settle(SurveyedTree tree, Settlement settlement, UUID source) {
        Determination from = determinations.findById(source).orElseThrow();
        GroupSheet sheet = library.find(from.snapshot().sheetVersionId()).sheet();
        String taxonId = settlement.taxon().orElse(null);
        boolean asRead = taxonId != null && taxonId.equals(from.taxonId()); // else no reading was said to confirm it
        NewDetermination signed = new NewDetermination(
                settlement.outcome().code(),
                taxonId,
                null,
                settlement.reasons(),
                asRead ? from.confirming() : List.of(),
                asRead ? from.reasons() : Map.of(),
                from.voucher(),
                List.of());
        determinations.saveAndFlush(Determination.settling(
                settlement.caseId(),
                settlement.id(),
                settlement.observerId(),
                from,
                signed,
                settlement.alsoBy(),
                settlement.at()));
        trees.stands(
                tree.id(),
                settlement.outcome().code(),
                settlement
                        .taxon()
                        .map(id -> sheet.taxon(id).orElseThrow().name().commonName())
                        .orElse(sheet.fallback().commonName()),
                null);
    }

    /**
     * What a review came to.
     *
     * @param outcome taxon, group or laboratory
     * @param taxon of the source's sheet that stands, for the first; empty for the others
     * @param alsoBy whose names are on it beside the observer's
     * @param reasons in the observer's words; may be empty
     * @param at when it was decided
     */
    public record Settlement(
            UUID caseId,
            UUID id,
            UUID observerId,
            Outcome outcome,
            Optional<String> taxon,
            List<UUID> alsoBy,
            String reasons,
            Instant at) {}

    private SignedCall signedCall(SurveyedTree tree, Determination one, SignedView shown) {
        Snapshot snapshot = one.snapshot();
        StoredSheet sheet = library.find(snapshot.sheetVersionId());
        var evidence = CallInHand.evidenceOf(
                sheet,
                snapshot.circumstances(),
                snapshot.localRecords(),
                snapshot.lackedFaculties(),
                shown.readings(),
                snapshot.gateMarks());
        var school = CallInHand.schoolOf(snapshot.school());
        Tier asked = Coded.find(Tier.values(), snapshot.judgement().tierAsked()).orElseThrow();
        Assessment assessment = Assessment.of(
                sheet.model(),
                evidence,
                new Terms(asked, school, tree.rules().mostHarm(), CallInHand.costs(tree.rules())),
                new CallRecord(true, one.reasons().keySet(), false, Set.of()));
        boolean contested = !snapshot.judgement().reasons().isEmpty();
        return new SignedCall(
                one.getId(),
                one.observerId(),
                Coded.find(Outcome.values(), one.outcome()).orElseThrow(),
                shown,
                Thistle.of(assessment).contested(contested),
                sheet,
                Weighing.of(sheet.model(), evidence, school),
                Optional.ofNullable(one.taxonId()).map(sheet.sheet()::taxonIndex),
                snapshot.judgement().tier(),
                contested,
                Assessment.matters(assessment.lead()),
                one.signedBlind(),
                plain(shown),
                Optional.ofNullable(snapshot.school()),
                evidence,
                specimen(shown.observer(), snapshot, shown.readings()));
    }

    /** The photos on which nothing was measured: what was, is drawn on the others, and would lead a second reader. */
    private static List<UUID> plain(SignedView shown) {
        Set<String> onPhoto = shown.readings().stream()
                .filter(reading ->
                        reading.taken() != null && reading.taken().stream().anyMatch(Taken::onPhoto))
                .map(NewReading::character)
                .collect(Collectors.toSet());
        return shown.photos().stream()
                .filter(photo -> photo.character() == null || !onPhoto.contains(photo.character()))
                .map(KeptPicture::id)
                .toList();
    }

    private static Map<String, Object> specimen(String observer, Snapshot snapshot, List<NewReading> readings) {
        Map<String, Object> context = new LinkedHashMap<>();
        context.put("month", snapshot.circumstances().month());
        context.put("stage", snapshot.circumstances().stage());
        context.put("origin", snapshot.circumstances().origin());
        context.put("habitat", snapshot.circumstances().habitat());
        context.put("records", snapshot.localRecords());
        context.put(
                "lacking", snapshot.lackedFaculties().stream().map(Coded::code).toList());
        List<Map<String, Object>> observations = new ArrayList<>();
        for (NewReading reading : readings) {
            Map<String, Object> one = new LinkedHashMap<>();
            one.put("character", reading.character());
            if (reading.notSeen()) {
                one.put("notSeen", true);
                putIfThere(one, "notBorne", reading.notBorne());
            } else {
                putIfThere(one, "states", reading.states());
                putIfThere(one, "values", reading.values());
                putIfThere(one, "taken", reading.taken());
                putIfThere(one, "certainty", reading.certainty());
                putIfThere(one, "material", reading.material());
                putIfThere(one, "position", reading.position());
            }
            putIfThere(one, "month", reading.month());
            observations.add(one);
        }
        List<Map<String, Object>> gate = snapshot.gateMarks().stream()
                .map(mark -> Map.<String, Object>of("item", mark.item(), "fits", mark.fits()))
                .toList();
        return Map.of("id", observer, "context", context, "observations", observations, "gate", gate);
    }

    private static void putIfThere(Map<String, Object> to, String key, Object value) {
        if (value != null) {
            to.put(key, value);
        }
    }
}
