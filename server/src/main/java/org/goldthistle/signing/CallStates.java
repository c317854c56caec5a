package org.goldthistle.signing;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.call.Thistle;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.entry.CallsInHand;
import org.goldthistle.platform.KeptJson;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Keeps beside each call what it amounts to, so that lists of many trees reckon nothing. Called in the transaction of
 * every write to a call.
 */
@Component
public class CallStates {
    private final CallsInHand calls;
    private final TreeSignatures signatures;
    private final JdbcClient jdbc;
    private final KeptJson json;
    private final Clock clock;

    CallStates(CallsInHand calls, TreeSignatures signatures, JdbcClient jdbc, KeptJson json, Clock clock) {
        this.calls = calls;
        this.signatures = signatures;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** Keeps the state of a call that was just written to. */
    public void keep(SurveyedTree tree, CallsInHand.Begun begun, Assessment assessment) {
        keepOne(tree, begun, assessment);
        keepContested(tree);
    }

    /** Keeps the states of all calls on a tree. */
    public void keepAll(SurveyedTree tree) {
        for (UUID observer : calls.readersOf(tree.id())) {
            calls.begun(tree, observer)
                    .ifPresent(begun -> keepOne(
                            tree,
                            begun,
                            begun.inHand()
                                    .assessment(
                                            signatures.onRecord(tree, observer).of(begun.inHand()))));
        }
        keepContested(tree);
    }

    private void keepContested(SurveyedTree tree) {
        jdbc.sql("update tree set contested = now.contested from"
                        + " (select coalesce(bool_or(contested), false) contested from call_state where tree_id = ?) now"
                        + " where id = ? and not tree.reviewed and tree.contested <> now.contested")
                .params(tree.id(), tree.id())
                .update();
    }

    private void keepOne(SurveyedTree tree, CallsInHand.Begun begun, Assessment assessment) {
        CallInHand call = begun.inHand();
        jdbc.sql(
                        "insert into call_state (tree_id, survey_id, observer_id, call_id, readings, verdict, contested,"
                                + " thistle, changed_at) values (?, ?, ?, ?, ?, ?, ?, ?::jsonb, ?) on conflict (tree_id, observer_id) do"
                                + " update set call_id = excluded.call_id, readings = excluded.readings,"
                                + " verdict = excluded.verdict, contested = excluded.contested, thistle = excluded.thistle,"
                                + " changed_at = greatest(excluded.changed_at, call_state.changed_at + interval '1 microsecond')")
                .params(
                        tree.id(),
                        tree.surveyId(),
                        begun.observerId(),
                        begun.callId(),
                        call.counting().size(),
                        assessment.verdict().code(),
                        !call.counting().isEmpty() && !assessment.reasons().isEmpty(),
                        json.text(Thistle.of(assessment)),
                        Timestamp.from(clock.instant()))
                .update();
    }
}
