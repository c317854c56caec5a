package org.goldthistle.review;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.Outcome;
import org.goldthistle.call.SurveyRules;
import org.goldthistle.platform.Problem;
import org.goldthistle.platform.ProblemType;
import org.goldthistle.signing.SignedCall;

/** What must hold before a review is decided; each refusal says what was kept and what to do. */
final class DecisionRules {
    private DecisionRules() {}

    /**
     * @param stuck whether the case waits for a blind reading that nobody in the survey can make any more
     * @throws Problem if the observer may not decide the case, or not so
     */
    static void check(CaseRights rights, NewDecision asked, SurveyRules rules, boolean stuck) {
        rights.toDecide().ifPresent(why -> refuse(why, stuck, rules));
        if (rights.state() == CaseState.SETTLED) {
            throw Problem.conflict(
                    ProblemType.NOT_AT_THE_TABLE,
                    "This case is settled already. Nothing was changed; whoever doubts it signs the tree anew on the"
                            + " Bench.");
        }
        if (stuck && !asked.is(ReviewOutcome.LABORATORY)) {
            refuse(Hindrance.UNREAD, true, rules);
        }
        if (asked.is(ReviewOutcome.LABORATORY) && !rules.laboratoryUsed()) {
            throw Problem.unfit(
                    ProblemType.LABORATORY_UNUSED,
                    "This survey sends no samples to a laboratory. Nothing was changed; ask for a third look, or call it"
                            + " not separable.");
        }
        if (asked.is(ReviewOutcome.OVERRULE) && asked.reasons().isBlank()) {
            throw Problem.unfit(
                    ProblemType.REASONS_MISSING,
                    "Whoever overrules a call says why. Nothing was changed; write your reasons and send again.");
        }
        if (asked.is(ReviewOutcome.LABORATORY_RESULT)) {
            checkResult(rights.state(), asked);
        }
    }

    private static void refuse(Hindrance why, boolean stuck, SurveyRules rules) {
        throw switch (why) {
            case ROLE ->
                Problem.forbidden(
                        ProblemType.ROLE,
                        "Reviewers and leads decide. Nothing was changed; say at the table what you think.");
            case OWN ->
                Problem.forbidden(
                        ProblemType.OWN_CASE,
                        "This is about your own call, so somebody else decides. Nothing was changed; say at the table"
                                + " what you think.");
            default ->
                Problem.conflict(
                        ProblemType.NOT_AT_THE_TABLE,
                        stuck
                                ? "Nobody in this survey can read this tree blind any more. Nothing was changed; add"
                                        + " somebody new to the survey"
                                        + (rules.laboratoryUsed() ? ", or decide for the laboratory." : ".")
                                : "This case waits for a blind reading first. Nothing was changed.");
        };
    }

    private static void checkResult(CaseState state, NewDecision asked) {
        if (state != CaseState.LABORATORY) {
            throw Problem.conflict(
                    ProblemType.NO_SAMPLE_SENT,
                    "No sample of this tree was sent to the laboratory, so there is no result yet. Nothing was changed;"
                            + " decide for the laboratory first.");
        }
        if (asked.reasons().isBlank()) {
            throw Problem.unfit(
                    ProblemType.REASONS_MISSING,
                    "A result names the laboratory's report. Nothing was changed; write which it is and send again.");
        }
    }

    /**
     * The taxon that comes to stand; empty: none does.
     *
     * @throws Problem if the laboratory is said to have found one that the sheet does not know
     */
    static Optional<String> taxon(NewDecision asked, SignedCall source) {
        if (asked.is(ReviewOutcome.LABORATORY_RESULT)) {
            boolean known = asked.taxon() != null
                    && source.model().sheet().taxon(asked.taxon()).isPresent();
            if (!known) {
                throw Problem.unfit(
                        ProblemType.NO_SUCH_TAXON,
                        "The sheet of this call has no taxon \"" + asked.taxon()
                                + "\". Nothing was changed; choose what"
                                + " the laboratory found, or record the group as not separable.");
            }
            return Optional.of(asked.taxon());
        }
        boolean taken = asked.is(ReviewOutcome.AGREE) || asked.is(ReviewOutcome.OVERRULE);
        return taken ? Optional.ofNullable(source.determination().taxonId()) : Optional.empty();
    }

    /**
     * The call whose record is taken over.
     *
     * @throws Problem if there is none that could stand
     */
    static SignedCall source(NewDecision asked, List<SignedCall> signed, SignedInObserver observer) {
        return switch (asked.how()) {
            case AGREE ->
                signed.stream()
                        .filter(call -> call.id().equals(asked.stands()))
                        .findFirst()
                        .orElseThrow(() -> Problem.unfit(
                                ProblemType.NO_SUCH_CALL,
                                "Which of the calls stands was not said, or its reader has signed anew. Nothing was changed;"
                                        + " look at the table again and choose."));
            case OVERRULE ->
                signed.stream()
                        .filter(call -> call.observerId().equals(observer.id()))
                        .findFirst()
                        .orElseThrow(() -> Problem.unfit(
                                ProblemType.OWN_READING_MISSING,
                                "Whoever overrules a call has read the tree and signed it. Nothing was changed; ask for a"
                                        + " third look, or read it yourself."));
            default ->
                signed.stream()
                        .filter(call -> call.observerId().equals(observer.id()))
                        .findFirst()
                        .orElse(signed.get(signed.size() - 1));
        };
    }

    /** The ways in which a case can be decided as it stands. */
    static List<CaseDto.Way> ways(
            ReviewCase of, List<SignedCall> signed, SignedInObserver observer, boolean stuck, SurveyRules rules) {
        boolean sent = of.state() == CaseState.LABORATORY;
        List<CaseDto.Way> ways = new ArrayList<>();
        if (stuck) {
            ways.add(way(ReviewOutcome.LABORATORY));
            return ways;
        }
        if (sent) {
            ways.add(way(ReviewOutcome.LABORATORY_RESULT));
        }
        Map<List<Object>, List<SignedCall>> bySame = new LinkedHashMap<>();
        for (SignedCall call : signed) {
            bySame.computeIfAbsent(whatItSays(call), same -> new ArrayList<>()).add(call);
        }
        bySame.values()
                .forEach(same -> ways.add(new CaseDto.Way(
                        ReviewOutcome.AGREE,
                        same.get(0).id(),
                        same.stream()
                                .map(call -> call.determination().observer())
                                .toList(),
                        false)));
        if (signed.stream().anyMatch(call -> call.observerId().equals(observer.id()))) {
            ways.add(way(ReviewOutcome.OVERRULE));
        }
        ways.add(way(ReviewOutcome.THIRD_LOOK));
        if (!sent && rules.laboratoryUsed()) {
            ways.add(way(ReviewOutcome.LABORATORY));
        }
        ways.add(way(ReviewOutcome.NOT_SEPARABLE));
        return ways;
    }

    private static CaseDto.Way way(ReviewOutcome outcome) {
        return new CaseDto.Way(outcome, null, List.of(), outcome.wantsReasons());
    }

    private static List<Object> whatItSays(SignedCall call) {
        return List.of(
                call.outcome(),
                call.determination().scientificName(),
                Optional.ofNullable(call.determination().month()));
    }

    /** What is signed in the end. */
    static Outcome signedAs(NewDecision asked, SignedCall source) {
        return switch (asked.how()) {
            case LABORATORY -> Outcome.LABORATORY;
            case NOT_SEPARABLE -> Outcome.GROUP;
            case LABORATORY_RESULT -> Outcome.TAXON;
            default -> source.taxon().isPresent() ? Outcome.TAXON : Outcome.GROUP;
        };
    }
}
