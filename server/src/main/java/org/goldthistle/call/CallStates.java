package org.goldthistle.call;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Keeps beside each call what it amounts to, so that lists of many trees reckon nothing. Called in the transaction of
 * every write to a call.
 */
@Component
class CallStates {
    private final Desk desk;
    private final JdbcClient jdbc;
    private final ObjectMapper json;
    private final Clock clock;

    CallStates(Desk desk, JdbcClient jdbc, ObjectMapper json, Clock clock) {
        this.desk = desk;
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** Keeps the state of a call that was just written to, and lays out the Bench of its observer. */
    BenchDto keptBench(SurveyedTree tree, Call call) {
        desk.flush();
        UUID observerId = call.observerId();
        List<Determination> signed = desk.shownTo(tree, observerId);
        Desk.Begun begun = desk.begun(call, tree);
        keepOne(tree, observerId, begun, signed);
        keepContested(tree);
        return desk.bench(tree, observerId, begun.inHand(), signed);
    }

    /** The same after a signature, by which other observers' calls on the tree may become contested. */
    BenchDto keptBenchAndOthers(SurveyedTree tree, UUID observerId) {
        keepAll(tree);
        return desk.bench(tree, observerId);
    }

    /** Keeps the states of all calls on a tree. */
    void keepAll(SurveyedTree tree) {
        desk.flush();
        for (UUID observer : readersOf(tree)) {
            List<Determination> signed = desk.shownTo(tree, observer);
            desk.begunCall(tree, observer).ifPresent(begun -> keepOne(tree, observer, begun, signed));
        }
        keepContested(tree);
    }

    private List<UUID> readersOf(SurveyedTree tree) {
        return jdbc.sql("select distinct observer_id from call where tree_id = ?")
                .param(tree.id())
                .query(UUID.class)
                .list();
    }

    private void keepContested(SurveyedTree tree) {
        jdbc.sql("update tree set contested = now.contested from"
                        + " (select coalesce(bool_or(contested), false) contested from call_state where tree_id = ?) now"
                        + " where id = ? and not tree.reviewed and tree.contested <> now.contested")
                .params(tree.id(), tree.id())
                .update();
    }

    private void keepOne(SurveyedTree tree, UUID observer, Desk.Begun begun, List<Determination> signed) {
        CallInHand call = begun.inHand();
        Assessment assessment = call.assessment(desk.onRecord(call, observer, signed));
        jdbc.sql(
                        "insert into call_state (tree_id, survey_id, observer_id, call_id, readings, verdict, contested,"
                                + " thistle, changed_at) values (?, ?, ?, ?, ?, ?, ?, ?::jsonb, ?) on conflict (tree_id, observer_id) do"
                                + " update set call_id = excluded.call_id, readings = excluded.readings,"
                                + " verdict = excluded.verdict, contested = excluded.contested, thistle = excluded.thistle,"
                                + " changed_at = greatest(excluded.changed_at, call_state.changed_at + interval '1 microsecond')")
                .params(
                        tree.id(),
                        tree.surveyId(),
                        observer,
                        begun.callId(),
                        call.counting().size(),
                        assessment.verdict().code(),
                        !call.counting().isEmpty() && !assessment.reasons().isEmpty(),
                        text(ThistleDto.of(assessment)),
                        Timestamp.from(clock.instant()))
                .update();
    }

    private String text(ThistleDto thistle) {
        try {
            return json.writeValueAsString(thistle);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("a thistle can be written as JSON", broken);
        }
    }
}
