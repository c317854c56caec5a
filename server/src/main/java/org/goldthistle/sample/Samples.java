package org.goldthistle.sample;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.core.Coded;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.core.laboratory.Analysis;
import org.goldthistle.core.laboratory.SampleStep;
import org.goldthistle.core.laboratory.Tissue;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.library.LibraryService;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.survey.SurveyService;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The lives of samples. Every write may be sent twice. */
@Service
class Samples {
    private final SampleStore store;
    private final LaboratoryResults results;
    private final TreeService trees;
    private final SurveyService surveys;
    private final LibraryService library;
    private final AuditTrail audit;
    private final Turns turns;
    private final Clock clock;

    Samples(
            SampleStore store,
            LaboratoryResults results,
            TreeService trees,
            SurveyService surveys,
            LibraryService library,
            AuditTrail audit,
            Turns turns,
            Clock clock) {
        this.store = store;
        this.results = results;
        this.trees = trees;
        this.surveys = surveys;
        this.library = library;
        this.audit = audit;
        this.turns = turns;
        this.clock = clock;
    }

    /** The samples of a survey, those that go on first, by plot and tag. */
    @Transactional(readOnly = true)
    List<SampleDto> of(UUID surveyId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return results.shown(store.ofSurvey(surveyId), observerId);
    }

    /**
     * Asks for a sample of a tree.
     *
     * @throws Problem if the survey sends none, the tree is of no group, or the id belongs to another sample
     */
    @Transactional
    SampleDto ask(UUID surveyId, UUID sampleId, SignedInObserver observer, NewSample asked) {
        turns.take(
                Turn.beside(Turn.Thing.SURVEY, surveyId),
                Turn.alone(Turn.Thing.TREE, asked.treeId()),
                Turn.alone(Turn.Thing.ENTRY, asked.treeId()), // so that nobody strikes it meanwhile
                Turn.alone(Turn.Thing.ENTRY, sampleId),
                SampleStore.LABELS);
        surveys.requireOpen(surveyId, observer.id());
        SurveyedTree tree = trees.tree(surveyId, asked.treeId(), observer.id());
        Optional<SampleDto> there = store.find(sampleId);
        if (there.isPresent()) {
            if (!there.get().isAsked(asked)) {
                throw idTaken();
            }
            return shown(there.get(), observer);
        }
        requireUsed(tree);
        requireFit(tree, asked);
        store.ask(sampleId, tree, asked, observer.id(), clock.instant());
        note(tree, observer, "asked for a sample", asked);
        return shown(store.find(sampleId).orElseThrow(), observer);
    }

    private SampleDto shown(SampleDto sample, SignedInObserver observer) {
        return results.shown(List.of(sample), observer.id()).get(0);
    }

    private static void requireUsed(SurveyedTree tree) {
        if (!tree.rules().laboratoryUsed()) {
            throw Problem.unfit(
                    ProblemType.LABORATORY_UNUSED,
                    "This survey sends no samples to a laboratory. Nothing was stored; a lead can allow it in the survey's"
                            + " settings.");
        }
    }

    private void requireFit(SurveyedTree tree, NewSample asked) {
        var refusals = new Refusals();
        refusals.require(
                Coded.find(Tissue.values(), asked.tissue()).isPresent(),
                "tissue",
                asked.tissue(),
                Coded.codes(Tissue.values()));
        Optional<Analysis> analysis = Coded.find(Analysis.values(), asked.analysis());
        refusals.require(analysis.isPresent(), "analysis", asked.analysis(), Coded.codes(Analysis.values()));
        refusals.require(
                tree.groupId() != null,
                "treeId",
                "a tree that nobody doubts",
                "a tree of a confusable group, since only there is something to be told apart");
        if (tree.groupId() != null && analysis.equals(Optional.of(Analysis.MARKERS))) {
            refusals.require(
                    hybrid(library.newest(tree.groupId()).sheet(), Optional.ofNullable(asked.cross()))
                            .isPresent(),
                    "cross",
                    asked.cross(),
                    "a hybrid of the sheet, whose parents the markers tell apart");
        }
        try {
            refusals.throwIfAny();
        } catch (RefusedException refused) {
            throw Problem.unfit(ProblemType.UNFIT_SAMPLE, refused);
        }
    }

    /** The hybrid of that id, or the first one of the sheet. */
    static Optional<Taxon> hybrid(GroupSheet sheet, Optional<String> id) {
        return sheet.taxa().stream()
                .filter(taxon -> taxon.parents().isPresent()
                        && id.map(taxon.id()::equals).orElse(true))
                .findFirst();
    }

    /**
     * A sample goes a step on.
     *
     * @throws Problem if it cannot from where it is, or somebody was quicker
     */
    @Transactional
    SampleDto goOn(UUID surveyId, UUID sampleId, UUID stepId, SignedInObserver observer, NewStep asked) {
        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.ENTRY, sampleId));
        surveys.requireOpen(surveyId, observer.id());
        SampleDto sample = store.find(sampleId)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_SAMPLE, "This survey has no such sample. Nothing was stored."));
        SurveyedTree tree = trees.tree(surveyId, sample.treeId(), observer.id());
        Optional<UUID> known = store.ofStep(stepId);
        if (known.isPresent()) {
            if (!known.get().equals(sampleId)) {
                throw idTaken();
            }
            return shown(sample, observer);
        }
        if (!sample.step().code().equals(asked.from())) {
            throw Problem.stale("sample", shown(sample, observer));
        }
        SampleStep to = Coded.find(SampleStep.values(), asked.step())
                .filter(sample.next()::contains)
                .orElseThrow(() -> Problem.unfit(
                        ProblemType.UNFIT_SAMPLE,
                        RefusedException.of(
                                "step",
                                asked.step(),
                                (sample.next().isEmpty()
                                                ? "nothing"
                                                : Coded.codes(sample.next().toArray(SampleStep[]::new)))
                                        + ", since it is " + sample.step().code())));
        store.step(stepId, sampleId, to, asked.note(), observer.id());
        note(tree, observer, "sample " + sample.code() + ": " + to.code(), asked);
        return shown(store.find(sampleId).orElseThrow(), observer);
    }

    private void note(SurveyedTree tree, SignedInObserver observer, String what, Object after) {
        audit.note(Optional.of(observer.id()), what, new Place(tree.surveyId(), tree.plotId(), tree.id()), null, after);
    }

    static Problem idTaken() {
        return Problem.conflict(
                ProblemType.ID_TAKEN, "This id belongs to something else. Nothing was changed; send it anew.");
    }
}
