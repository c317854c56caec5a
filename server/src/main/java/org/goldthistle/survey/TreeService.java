package org.goldthistle.survey;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.audit.AuditEntry;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.call.TreeStanding;
import org.goldthistle.core.Refusals;
import org.goldthistle.core.RefusedException;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The trees of plots. */
@Service
public class TreeService {
    /** What may be done to a tree without reading it. */
    private static final Set<String> ON_THE_TREE =
            Set.of("recorded the tree", "imported the tree", "changed the tree", "struck the tree");

    private final TreeRepository trees;
    private final PlotService plots;
    private final SurveyService surveys;
    private final List<TreeCalls> kept;
    private final AuditTrail audit;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final EntityManager entities;
    private final Clock clock;

    TreeService(
            TreeRepository trees,
            PlotService plots,
            SurveyService surveys,
            List<TreeCalls> kept,
            AuditTrail audit,
            Turns turns,
            JdbcClient jdbc,
            EntityManager entities,
            Clock clock) {
        this.trees = trees;
        this.plots = plots;
        this.surveys = surveys;
        this.kept = kept;
        this.audit = audit;
        this.turns = turns;
        this.jdbc = jdbc;
        this.entities = entities;
        this.clock = clock;
    }

    /**
     * One tree of a survey, for a member of it.
     *
     * @throws Problem if the observer does not belong to the survey, or the tree does not
     */
    @Transactional(readOnly = true)
    public SurveyedTree tree(UUID surveyId, UUID treeId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return found(surveyId, treeId).surveyed();
    }

    /**
     * The trees of a plot that have a call of their own, by tag.
     *
     * @throws Problem if the observer does not belong to the survey
     */
    @Transactional(readOnly = true)
    public List<SurveyedTree> withCalls(UUID surveyId, UUID plotId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return trees.findInPlot(surveyId, plotId).stream()
                .map(Tree::surveyed)
                .filter(tree -> tree.groupId() != null && tree.cloneOf() == null)
                .toList();
    }

    /**
     * A tree that is about to be written to, once survey and plot are being neither closed nor opened and whoever else
     * takes the same turns is done.
     *
     * @throws Problem if the observer does not belong to the survey, the tree does not, or survey or plot are closed
     */
    @Transactional
    public SurveyedTree openForWriting(UUID surveyId, UUID treeId, UUID observerId, Turn... more) {
        List<Turn> all = new ArrayList<>(List.of(more));
        all.add(Turn.beside(Turn.Thing.SURVEY, surveyId));
        all.add(Turn.beside(Turn.Thing.PLOT, plotOf(treeId)));
        turns.take(all.toArray(Turn[]::new));
        surveys.requireMember(surveyId, observerId);
        Tree tree = found(surveyId, treeId);
        SurveyService.requireNotClosed(tree.plot().survey().rules().closed());
        PlotService.requireOpen(tree.plot());
        return tree.surveyed();
    }

    /** A tree without asking for whom; for what the application does by itself. */
    @Transactional(readOnly = true)
    public SurveyedTree tree(UUID treeId) {
        return trees.findById(treeId).orElseThrow().surveyed();
    }

    @Transactional(readOnly = true)
    TreeDto find(UUID surveyId, UUID treeId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        return TreeDto.of(found(surveyId, treeId));
    }

    /**
     * Records a tree, or changes it. Sent again, it changes nothing.
     *
     * @throws Problem if a measure cannot be true, the tag is taken, the survey or the plot is closed, or somebody
     *     changed it in the meantime
     */
    @Transactional
    TreeDto save(UUID surveyId, UUID plotId, UUID treeId, UUID observerId, TreeBody asked) {
        return saved(surveyId, plotId, treeId, observerId, asked, clock.instant());
    }

    private TreeDto saved(UUID surveyId, UUID plotId, UUID treeId, UUID observerId, TreeBody asked, Instant at) {
        turns.take(
                Turn.beside(Turn.Thing.SURVEY, surveyId),
                Turn.alone(Turn.Thing.PLOT, plotId), // so that no two stems get the same tag
                Turn.alone(Turn.Thing.ENTRY, treeId));
        surveys.open(surveyId, observerId);
        Plot plot = plots.plot(surveyId, plotId);
        Optional<Tree> there = trees.findById(treeId);
        if (there.isPresent()) {
            return changed(plot, there.get(), observerId, asked);
        }
        PlotService.requireOpen(plot);
        refuseUnfit(plot, treeId, asked);
        Tree tree = trees.saveAndFlush(new Tree(treeId, plot, asked));
        audit.note(at, Optional.of(observerId), "recorded the tree", place(tree), null, tree.body());
        return TreeDto.of(tree);
    }

    /** Puts a tree on record that an observer recorded at another time. */
    @Transactional
    public void create(UUID surveyId, UUID plotId, UUID treeId, UUID observerId, TreeBody asked, Instant at) {
        saved(surveyId, plotId, treeId, observerId, asked, at);
    }

    private TreeDto changed(Plot plot, Tree tree, UUID observerId, TreeBody asked) {
        if (!tree.plot().id().equals(plot.id())) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN,
                    "The id of this tree belongs to a tree of another plot, which was kept as it is.");
        }
        TreeBody before = tree.body();
        if (before.equals(asked.unversioned())) {
            return TreeDto.of(tree);
        }
        if (!Objects.equals(asked.version(), tree.version())) {
            throw Problem.stale("tree", TreeDto.of(tree));
        }
        PlotService.requireOpen(plot);
        refuseUnfit(plot, tree.id(), asked);
        if (!Objects.equals(before.plainTaxon(), asked.plainTaxon())
                || !Objects.equals(before.cloneOf(), asked.cloneOf())) {
            refuseTouched(tree);
        }
        tree.change(asked);
        trees.flush();
        if (before.groupId() == null != (asked.groupId() == null)) {
            stands(tree.id(), TreeStanding.entered(asked.groupId() != null).code(), null, null);
        }
        audit.noteChange(observerId, "changed the tree", place(tree), before, tree.body());
        return TreeDto.of(tree);
    }

    /**
     * Strikes a tree that was recorded by mistake; its history stays.
     *
     * @throws Problem if it has been read, or stems are joined to it
     */
    @Transactional
    void remove(UUID surveyId, UUID treeId, UUID observerId) {
        surveys.requireMember(surveyId, observerId);
        turns.take(
                Turn.beside(Turn.Thing.SURVEY, surveyId),
                Turn.alone(Turn.Thing.PLOT, plotOf(treeId)),
                Turn.alone(Turn.Thing.ENTRY, treeId));
        surveys.open(surveyId, observerId);
        Tree tree = found(surveyId, treeId);
        PlotService.requireOpen(tree.plot());
        refuseTouched(tree);
        if (trees.countByCloneOf(treeId) > 0) {
            throw Problem.unfit(
                    ProblemType.BEARS_A_CLONE,
                    "Other stems are joined to tree " + tree.tag() + ". Part them first; it was kept.");
        }
        audit.note(Optional.of(observerId), "struck the tree", place(tree), tree.body(), null);
        trees.delete(tree);
        trees.flush();
    }

    /** What the trail has of a tree, the latest first, as far as an observer may see it. */
    @Transactional(readOnly = true)
    public List<AuditEntry> trailOf(SurveyedTree tree, UUID observerId) {
        return tree.isBlindFor(observerId) ? audit.ofTree(tree.id(), observerId, ON_THE_TREE) : audit.ofTree(tree.id());
    }

    /**
     * Notes what a tree stands as, after it was signed; a review that settled it before has no say any more.
     *
     * @param standsAs the outcome's code
     * @param name common name of what was signed; null: nothing
     * @param comeBackMonth 1-12; null: none
     */
    @Transactional
    public void stands(UUID treeId, String standsAs, String name, Integer comeBackMonth) {
        jdbc.sql("update tree set stands_as = ?, stands_name = ?, come_back_month = ?, reviewed = false where id = ?")
                .params(standsAs, name, comeBackMonth, treeId)
                .update();
    }

    /** Notes that what a tree stands as was settled by a review. */
    @Transactional
    public void settled(UUID treeId) {
        jdbc.sql("update tree set reviewed = true, contested = false where id = ?")
                .param(treeId)
                .update();
    }

    /**
     * Shows what was made of a tree to some observers alone.
     *
     * @param readers who have read it; empty: it is shown to everybody again
     */
    @Transactional
    public void showTo(UUID treeId, Optional<List<UUID>> readers) {
        trees.flush();
        jdbc.sql("update tree set shown_to = ? where id = ?")
                .params(readers.map(ids -> ids.toArray(UUID[]::new)).orElse(null), treeId)
                .update();
        trees.findById(treeId).ifPresent(entities::refresh);
    }

    private void refuseTouched(Tree tree) {
        if (kept.stream().anyMatch(one -> one.isTouched(tree.id()))) {
            throw Problem.unfit(
                    ProblemType.ALREADY_READ,
                    "Tree " + tree.tag() + " has been read on the Bench, or a sample of it was asked for, so it can"
                            + " neither become a plain taxon, nor join another stem, nor be struck. It was kept as it is; sign what it is on the"
                            + " Bench.");
        }
    }

    private void refuseUnfit(Plot plot, UUID treeId, TreeBody asked) {
        try {
            asked.requireTrue(plot.radiusMetres());
            var refusals = new Refusals();
            refusals.require(
                    trees.findByPlotIdAndTag(plot.id(), asked.tag())
                            .map(Tree::id)
                            .filter(id -> !id.equals(treeId))
                            .isEmpty(),
                    "tag",
                    asked.tag(),
                    "a tag that no other stem of " + plot.code() + " has");
            refusals.require(
                    asked.groupId() == null
                            || surveys.groupsOf(plot.survey().id()).contains(asked.groupId()),
                    "groupId",
                    asked.groupId(),
                    "a group that this survey calls");
            if (asked.cloneOf() != null) {
                requireBearer(refusals, plot, treeId, asked);
            }
            refusals.throwIfAny();
        } catch (RefusedException refused) {
            throw Problem.unfit(ProblemType.UNFIT_TREE, refused);
        }
    }

    private void requireBearer(Refusals refusals, Plot plot, UUID treeId, TreeBody asked) {
        Optional<Tree> bearer = trees.findById(asked.cloneOf());
        refusals.require(
                bearer.isPresent()
                        && bearer.get().plot().id().equals(plot.id())
                        && !bearer.get().id().equals(treeId)
                        && bearer.get().cloneOf() == null,
                "cloneOf",
                bearer.map(tree -> "tree " + tree.tag()).orElse("no such tree"),
                "another stem of this plot that bears its own call");
        refusals.require(
                asked.groupId() != null
                        && bearer.filter(tree -> asked.groupId().equals(tree.groupId()))
                                .isPresent(),
                "cloneOf",
                "stems of different groups",
                "two stems of one group");
        refusals.require(
                trees.countByCloneOf(treeId) == 0, "cloneOf", "a stem that others are joined to", "a stem of its own");
    }

    private Tree found(UUID surveyId, UUID treeId) {
        return trees.findInSurvey(surveyId, treeId)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_TREE,
                        "This survey has no such tree; it may belong to another one. Nothing was stored. Open the tree"
                                + " from its own survey's list."));
    }

    private static Place place(Tree tree) {
        return new Place(tree.plot().survey().id(), tree.plot().id(), tree.id());
    }

    private UUID plotOf(UUID treeId) {
        return jdbc.sql("select plot_id from tree where id = ?")
                .param(treeId)
                .query(UUID.class)
                .optional()
                .orElse(treeId); // there is no such tree, which is told when it is looked for
    }
}
