package org.goldthistle.review;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.account.AccountService;
import org.goldthistle.account.Role;
import org.goldthistle.account.SignedInObserver;
import org.goldthistle.call.SignedView;
import org.goldthistle.core.balance.Balance;
import org.goldthistle.core.laboratory.LaboratoryEvidence;
import org.goldthistle.core.plan.DecisiveSet;
import org.goldthistle.core.reading.Context;
import org.goldthistle.core.sheet.DiagnosticCharacter;
import org.goldthistle.core.sheet.Harm;
import org.goldthistle.core.verdict.Tier;
import org.goldthistle.sample.Laboratory;
import org.goldthistle.sight.Scope;
import org.goldthistle.sight.Sights;
import org.goldthistle.signing.SignedCall;
import org.goldthistle.signing.SignedCalls;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/** Lays a review out for one observer. */
@Component
class CaseLayout {
    private final SignedCalls calls;
    private final AccountService accounts;
    private final Verifications verifications;
    private final Sights sights;
    private final Laboratory laboratory;
    private final JdbcClient jdbc;

    CaseLayout(
            SignedCalls calls,
            AccountService accounts,
            Verifications verifications,
            Sights sights,
            Laboratory laboratory,
            JdbcClient jdbc) {
        this.calls = calls;
        this.accounts = accounts;
        this.verifications = verifications;
        this.sights = sights;
        this.laboratory = laboratory;
        this.jdbc = jdbc;
    }

    CaseDto of(ReviewCase of, SurveyedTree tree, SignedInObserver observer) {
        boolean stuck = isStuck(of);
        CaseRights rights = rights(of, tree, observer, stuck);
        boolean seen = rights.sees();
        if (seen) {
            sights.shown(observer.id(), Scope.CASE, List.of(tree.id()));
        }
        List<SignedCall> signed = calls.of(tree);
        List<SignedCall> shown = seen ? signed : List.of();
        List<LaboratoryEvidence> found = seen ? laboratory.evidence(tree.id()) : List.of();
        Optional<Table> table = Table.of(shown, found);
        boolean open = !rights.closed();
        boolean decidable = rights.sendable() || of.state() == CaseState.TABLE || of.state() == CaseState.LABORATORY;
        return new CaseDto(
                of.id(),
                tree.surveyId(),
                tree.surveyName(),
                !open,
                tree.id(),
                tree.plotId(),
                tree.plotCode(),
                tree.tag(),
                tree.diameterMillimetres(),
                of.groupId(),
                shown.isEmpty() ? null : shown.get(0).sheet().id(),
                of.state(),
                of.looks(),
                Queue.needs(of.state()),
                rights.mayRead(),
                rights.mayDecide(),
                of.state() == CaseState.SETTLED ? null : rights.toDecide().orElse(null),
                decidable ? DecisionRules.ways(of, shown, observer, stuck, tree.rules()) : List.of(),
                rights.mine(),
                callSign(of.takenBy()),
                !seen,
                rights.seenBefore(),
                stuck,
                seen ? null : proposal(signed),
                seen ? List.of() : photos(signed),
                seen ? of.reasons() : List.of(),
                seen && of.changedMeanwhile(),
                shown.stream().map(call -> reader(of, call, observer)).toList(),
                table.map(Table::characters).orElse(List.of()),
                shown.size() > 1 || !found.isEmpty() ? table.map(Table::joint).orElse(null) : null,
                seen ? samples(tree, shown) : null,
                seen ? words(of.id()) : List.of(),
                seen ? decisions(of.id()) : List.of(),
                seen ? stands(of, tree) : null,
                of.openedAt(),
                verifications.isVerified(of.id()),
                open && observer.role() == Role.LEAD && verifications.canBe(of),
                of.version());
    }

    private CaseDto.AtLaboratory samples(SurveyedTree tree, List<SignedCall> shown) {
        return new CaseDto.AtLaboratory(
                tree.rules().laboratoryUsed(),
                laboratory.samples(tree.id()),
                shown.isEmpty()
                        ? List.of()
                        : laboratory.results(tree.id(), shown.get(0).model().sheet()));
    }

    private @Nullable String callSign(@Nullable UUID observerId) {
        return observerId == null
                ? null
                : accounts.callSigns(List.of(observerId)).get(observerId);
    }

    private static List<UUID> photos(List<SignedCall> signed) {
        return signed.stream().flatMap(call -> call.photos().stream()).toList();
    }

    /**
     * How a review stands to an observer.
     *
     * @param stuck as {@link #isStuck} says
     */
    CaseRights rights(ReviewCase of, SurveyedTree tree, SignedInObserver observer, boolean stuck) {
        boolean reader = of.readers().contains(observer.id());
        return new CaseRights(
                of.state(),
                tree.rules().closed(),
                reader,
                of.readers().get(0).equals(observer.id()),
                observer.id().equals(of.takenBy()),
                of.state().isBlind() && !reader && sights.hasSeen(observer.id(), tree.id()),
                observer.role(),
                stuck && tree.rules().laboratoryUsed());
    }

    /** Whether a case waits for a blind reading that nobody in the survey can make any more. */
    boolean isStuck(ReviewCase of) {
        return of.state() == CaseState.WAITING && !sights.canBeReadBlind(of.surveyId(), of.treeId());
    }

    private static CaseDto.Reader reader(ReviewCase of, SignedCall call, SignedInObserver observer) {
        return new CaseDto.Reader(
                call.determination().observer(),
                of.blindReaders().contains(call.observerId()),
                call.observerId().equals(observer.id()),
                call.thistle(),
                call.determination());
    }

    /** What would settle it between the two taxa in question; which of them leads is not told. */
    private CaseDto.Proposal proposal(List<SignedCall> signed) {
        SignedCall call = signed.get(0);
        Balance balance = call.weighing().withSurroundings();
        Context context = call.context();
        DecisiveSet set = DecisiveSet.of(
                call.model(),
                context,
                Optional.empty(),
                Harm.SAMPLE,
                balance.lead(),
                balance.rival(),
                Tier.RECORD.threshold());
        return new CaseDto.Proposal(
                set.characters().stream().map(DiagnosticCharacter::name).toList(), set.expectedPoints(), set.enough());
    }

    private SignedView stands(ReviewCase of, SurveyedTree tree) {
        return calls.all(tree).stream()
                .filter(one -> of.id().equals(one.settles()))
                .findFirst()
                .orElse(null);
    }

    private List<CaseDto.Word> words(UUID caseId) {
        return jdbc.sql("select w.*, o.call_sign from review_word w join observer o on o.id = w.observer_id"
                        + " where case_id = ? order by entry_order")
                .param(caseId)
                .query((row, i) -> new CaseDto.Word(
                        row.getObject("id", UUID.class),
                        row.getString("call_sign"),
                        row.getTimestamp("written_at").toInstant(),
                        row.getString("character_id"),
                        row.getString("body")))
                .list();
    }

    private List<CaseDto.Decision> decisions(UUID caseId) {
        return jdbc.sql("select d.*, o.call_sign from review_decision d join observer o on o.id = d.observer_id"
                        + " where case_id = ? order by entry_order")
                .param(caseId)
                .query((row, i) -> new CaseDto.Decision(
                        row.getObject("id", UUID.class),
                        row.getString("call_sign"),
                        row.getTimestamp("decided_at").toInstant(),
                        row.getString("outcome"),
                        row.getString("reasons")))
                .list();
    }
}
