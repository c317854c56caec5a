package org.goldthistle.review;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.audit.AuditTrail;
import org.goldthistle.audit.Place;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.platform.Turn;
import org.goldthistle.platform.Turns;
import org.goldthistle.sample.Laboratory;
import org.goldthistle.sample.ResultCame;
import org.goldthistle.sight.Sights;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done to a review: it is taken up, talked over, decided. Every write may be sent twice. */
@Service
class ReviewService {
    private final CaseRepository cases;
    private final Cases opening;
    private final CaseLayout layout;
    private final SignedCalls calls;
    private final TreeService trees;
    private final Verifications verifications;
    private final Sights sights;
    private final AuditTrail audit;
    private final Laboratory laboratory;
    private final News news;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    ReviewService(
            CaseRepository cases,
            Cases opening,
            CaseLayout layout,
            SignedCalls calls,
            TreeService trees,
            Verifications verifications,
            Sights sights,
            AuditTrail audit,
            Laboratory laboratory,
            News news,
            Turns turns,
            JdbcClient jdbc,
            Clock clock) {
        this.cases = cases;
        this.opening = opening;
        this.layout = layout;
        this.calls = calls;
        this.trees = trees;
        this.verifications = verifications;
        this.sights = sights;
        this.audit = audit;
        this.laboratory = laboratory;
        this.news = news;
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A review as the observer may see it. */
    @Transactional
    CaseDto find(UUID surveyId, UUID caseId, SignedInObserver observer) {
        ReviewCase found = found(surveyId, caseId);
        return layout.of(found, trees.tree(surveyId, found.treeId(), observer.id()), observer);
    }

    /** The latest review of a tree as the observer may see it; empty: there is none. */
    @Transactional
    Optional<CaseDto> ofTree(UUID surveyId, UUID treeId, SignedInObserver observer) {
        SurveyedTree tree = trees.tree(surveyId, treeId, observer.id());
        return cases.findByTreeIdOrderByOpenedAtDesc(tree.id()).stream()
                .findFirst()
                .map(found -> layout.of(found, tree, observer));
    }

    /**
     * Takes a case up to read its tree blind, or leaves it to somebody else.
     *
     * @throws Problem if somebody else reads it, it waits for no reading, or the observer has signed it
     */
    @Transactional
    CaseDto take(UUID surveyId, UUID caseId, SignedInObserver observer, boolean up) {
        ReviewCase taken = locked(surveyId, caseId);
        SurveyedTree tree = open(taken, observer);
        boolean mine = observer.id().equals(taken.takenBy());
        if (up && !mine) {
            requireReadable(taken, layout.rights(taken, tree, observer, false), observer);
            taken.take(observer.id(), clock.instant());
        } else if (!up && mine) {
            taken.release(clock.instant());
        }
        cases.flush();
        news.changed(taken);
        return layout.of(taken, tree, observer);
    }

    private void requireReadable(ReviewCase taken, CaseRights rights, SignedInObserver observer) {
        Optional<Hindrance> why = rights.toRead();
        if (why.isPresent() && why.get() == Hindrance.OWN) {
            throw Problem.forbidden(
                    ProblemType.OWN_CASE,
                    "You signed this tree yourself, so somebody else must read it. Nothing was changed; take another"
                            + " case.");
        }
        if (why.isPresent() && why.get() == Hindrance.SEEN) {
            throw elsewhere(
                    ProblemType.SEEN_ALREADY,
                    "You were shown what others made of this tree, so you cannot read it blind. Nothing was changed; take"
                            + " another case.",
                    taken,
                    observer);
        }
        if (why.isPresent()) {
            throw elsewhere(
                    ProblemType.CASE_TAKEN,
                    "Somebody else has just taken this case. Nothing was changed; take the next one.",
                    taken,
                    observer);
        }
        if (taken.state() != CaseState.WAITING) {
            throw elsewhere(
                    ProblemType.NO_READING_WANTED,
                    "This case waits for no blind reading any more. Nothing was changed; take the next one.",
                    taken,
                    observer);
        }
    }

    /** A refusal that offers another case. */
    private Problem elsewhere(ProblemType type, String words, ReviewCase taken, SignedInObserver observer) {
        return Problem.conflict(
                type, words, new Next(nextFor(taken.surveyId(), observer).orElse(null)));
    }

    private Optional<UUID> nextFor(UUID surveyId, SignedInObserver observer) {
        return jdbc.sql("select id from review_case where survey_id = :survey and state = 'waiting'"
                        + " and not :observer = any(readers) and " + Sights.notAmongSeen(":observer", "tree_id")
                        + " order by opened_at, id limit 1")
                .param("survey", surveyId)
                .param("observer", observer.id())
                .query(UUID.class)
                .optional();
    }

    /** The case that is offered in place of one that was taken; null: none waits. */
    record Next(UUID next) {}

    /**
     * Says something of a case, or of one character.
     *
     * @throws Problem if the observer is to read it blind, or the id belongs to other words
     */
    @Transactional
    CaseDto say(UUID surveyId, UUID caseId, UUID wordId, SignedInObserver observer, NewWord said) {
        return say(surveyId, caseId, wordId, observer, said, clock.instant());
    }

    /** The same of what was said at another time. */
    CaseDto say(UUID surveyId, UUID caseId, UUID wordId, SignedInObserver observer, NewWord said, Instant at) {
        ReviewCase of = locked(surveyId, caseId);
        SurveyedTree tree = open(of, observer);
        requireSeen(tree, observer);
        requireCharacter(tree, said);
        int stored = jdbc.sql("insert into review_word (id, case_id, observer_id, character_id, body, written_at)"
                        + " values (?, ?, ?, ?, ?, ?) on conflict (id) do nothing")
                .params(
                        wordId,
                        caseId,
                        observer.id(),
                        said.character(),
                        said.body().strip(),
                        Timestamp.from(at))
                .update();
        if (stored > 0) {
            news.changed(of);
        }
        return layout.of(of, tree, observer);
    }

    private void requireCharacter(SurveyedTree tree, NewWord said) {
        boolean known = said.character() == null
                || calls.of(tree).stream()
                        .anyMatch(call ->
                                call.model().sheet().character(said.character()).isPresent());
        if (!known) {
            throw Problem.unfit(
                    ProblemType.NO_SUCH_CHARACTER,
                    "The sheet has no character \"" + said.character() + "\". Your words are still on your page; say"
                            + " them of the case.");
        }
    }

    /**
     * Decides a case. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if the observer may not, reasons are missing, or somebody changed the case in the meantime
     */
    @Transactional
    CaseDto decide(UUID surveyId, UUID caseId, UUID decisionId, SignedInObserver observer, NewDecision asked) {
        return decide(surveyId, caseId, decisionId, observer, asked, clock.instant());
    }

    /** The same of what was decided at another time. */
    CaseDto decide(
            UUID surveyId, UUID caseId, UUID decisionId, SignedInObserver observer, NewDecision asked, Instant at) {
        ReviewCase decided = locked(surveyId, caseId);
        SurveyedTree tree = open(decided, observer);
        if (isKnown(decisionId, caseId, asked)) {
            return layout.of(decided, tree, observer);
        }
        boolean stuck = layout.isStuck(decided);
        DecisionRules.check(layout.rights(decided, tree, observer, stuck), asked, tree.rules(), stuck);
        if (!Objects.equals(asked.version(), decided.version())) {
            throw Problem.stale("case", layout.of(decided, tree, observer));
        }
        List<SignedCall> signed = calls.of(tree);
        SignedCall source = DecisionRules.source(asked, signed, observer);
        apply(decided, tree, new Made(decisionId, observer, asked, at), signed, source);
        cases.flush();
        opening.show(decided);
        calls.keepStates(trees.tree(surveyId, tree.id(), observer.id()));
        if (decided.state() == CaseState.SETTLED) {
            trees.settled(tree.id());
            laboratory.weighed(tree, observer);
        } else if (decided.state() == CaseState.LABORATORY) {
            laboratory.wanted(tree, observer, source.model().sheet());
        }
        audit.note(
                at,
                Optional.of(observer.id()),
                "decided the review",
                new Place(tree.surveyId(), tree.plotId(), tree.id()),
                null,
                Map.of("outcome", asked.outcome(), "reasons", asked.reasons()));
        news.changed(decided);
        return layout.of(decided, trees.tree(surveyId, tree.id(), observer.id()), observer);
    }

    /**
     * Marks what stands by a settled case as the truth, or takes that back. Sent again with the same id, it changes nothing.
     *
     * @throws Problem if no taxon stands by it, or the id belongs to another mark
     */
    @Transactional
    CaseDto verify(UUID surveyId, UUID caseId, UUID id, SignedInObserver observer, boolean verified) {
        ReviewCase marked = locked(surveyId, caseId);
        SurveyedTree tree = open(marked, observer);
        if (verifications.mark(marked, id, verified, observer)) {
            audit.note(
                    Optional.of(observer.id()),
                    verified ? "marked the review as verified" : "took the mark of a verified review back",
                    new Place(tree.surveyId(), tree.plotId(), tree.id()),
                    null,
                    null);
            news.changed(marked);
        }
        return layout.of(marked, tree, observer);
    }

    /** Whoever looks at a review sees it when its tree's sample came back. */
    @EventListener
    void told(ResultCame came) {
        cases.findByTreeIdOrderByOpenedAtDesc(came.treeId()).stream()
                .findFirst()
                .ifPresent(news::changed);
    }

    /** A decision, by whom and when. */
    private record Made(UUID id, SignedInObserver by, NewDecision asked, Instant at) {}

    private void apply(ReviewCase decided, SurveyedTree tree, Made made, List<SignedCall> signed, SignedCall source) {
        NewDecision asked = made.asked();
        boolean third = asked.is(ReviewOutcome.THIRD_LOOK);
        if (!third) {
            List<UUID> others = asked.is(ReviewOutcome.AGREE)
                    ? signed.stream()
                            .map(SignedCall::observerId)
                            .filter(id -> !id.equals(made.by().id()))
                            .toList()
                    : List.of();
            calls.settle(
                    tree,
                    new SignedCalls.Settlement(
                            decided.id(),
                            made.id(),
                            made.by().id(),
                            DecisionRules.signedAs(asked, source),
                            DecisionRules.taxon(asked, source),
                            others,
                            asked.reasons().strip(),
                            made.at()),
                    source.id());
        }
        jdbc.sql(
                        "insert into review_decision (id, case_id, observer_id, outcome, determination_id, reasons, decided_at)"
                                + " values (?, ?, ?, ?, ?, ?, ?)")
                .params(
                        made.id(),
                        decided.id(),
                        made.by().id(),
                        asked.outcome(),
                        third ? null : made.id(),
                        asked.reasons().strip(),
                        Timestamp.from(made.at()))
                .update();
        switch (asked.how()) {
            case THIRD_LOOK -> decided.thirdLook(made.at());
            case LABORATORY -> decided.laboratory(made.at());
            default -> decided.settle(asked.how(), made.at());
        }
    }

    private boolean isKnown(UUID decisionId, UUID caseId, NewDecision asked) {
        Optional<Boolean> same = jdbc.sql("select case_id = ? and outcome = ? from review_decision where id = ?")
                .params(caseId, asked.outcome(), decisionId)
                .query(Boolean.class)
                .optional();
        if (same.isPresent() && !same.get()) {
            throw Problem.conflict(
                    ProblemType.ID_TAKEN,
                    "The id of this decision belongs to another one. Nothing was changed; send it anew.");
        }
        return same.isPresent();
    }

    private static void requireSeen(SurveyedTree tree, SignedInObserver observer) {
        if (tree.isBlindFor(observer.id())) {
            throw Problem.forbidden(
                    ProblemType.READ_FIRST,
                    "This tree waits for a blind reading, and until that is signed only those who have read it talk it"
                            + " over. Nothing was stored; your words are still on your page.");
        }
    }

    private SurveyedTree open(ReviewCase of, SignedInObserver observer) {
        SurveyedTree tree = trees.tree(of.surveyId(), of.treeId(), observer.id());
        if (tree.rules().closed()) {
            throw Problem.conflict(
                    ProblemType.SURVEY_CLOSED,
                    "This survey is closed and can only be read. Nothing was stored; a lead can open it again.");
        }
        return tree;
    }

    private ReviewCase found(UUID surveyId, UUID caseId) {
        return cases.findBySurveyIdAndId(surveyId, caseId)
                .orElseThrow(() -> Problem.missing(
                        ProblemType.NO_SUCH_CASE,
                        "This survey has no such review. Nothing was stored. Open it from the queue."));
    }

    /** What happens to one case happens one after the other, and after or before a signature of its tree. */
    private ReviewCase locked(UUID surveyId, UUID caseId) {
        jdbc.sql("select tree_id from review_case where id = ?")
                .param(caseId)
                .query(UUID.class)
                .optional()
                .ifPresent(tree ->
                        turns.take(Turn.beside(Turn.Thing.SURVEY, surveyId), Turn.alone(Turn.Thing.TREE, tree)));
        return found(surveyId, caseId);
    }
}
