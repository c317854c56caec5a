package org.goldthistle.call;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.core.plan.NextCheck;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Plays the months ahead of contested calls through in the background and keeps what came out. Each call is locked
 * while it is played, so that several instances of the application share the work.
 */
@Component
class OutlookKeeper {
    private final Desk desk;
    private final TreeService trees;
    private final JdbcClient jdbc;
    private final ObjectMapper json;
    private final TransactionTemplate inTransaction;

    OutlookKeeper(Desk desk, TreeService trees, JdbcClient jdbc, ObjectMapper json, TransactionTemplate inTransaction) {
        this.desk = desk;
        this.trees = trees;
        this.jdbc = jdbc;
        this.json = json;
        this.inTransaction = inTransaction;
    }

    /** Plays every contested call through that changed since it was played last. */
    @Scheduled(fixedDelayString = "${goldthistle.outlook.every:2000}")
    void playAll() {
        while (Boolean.TRUE.equals(inTransaction.execute(status -> playOne()))) {
            // one call a transaction, so that what was played is there at once
        }
    }

    private boolean playOne() {
        Optional<Due> due = jdbc.sql("select tree_id, observer_id, changed_at from call_state where contested"
                        + " and outlook_of is distinct from changed_at order by changed_at desc limit 1"
                        + " for update skip locked")
                .query((row, i) -> new Due(
                        row.getObject("tree_id", UUID.class),
                        row.getObject("observer_id", UUID.class),
                        row.getTimestamp("changed_at")))
                .optional();
        due.ifPresent(this::play);
        return due.isPresent();
    }

    private void play(Due due) {
        SurveyedTree tree = trees.tree(due.treeId());
        CallInHand call = desk.begunCall(tree, due.observerId()).orElseThrow().inHand();
        CallRecord onRecord = desk.onRecord(call, desk.signedFor(List.of(tree.id())));
        SeasonOutlook outlook = call.assessment(onRecord).outlook(CallService.OUTLOOK_SEED);
        List<MonthAhead> ahead = new ArrayList<>();
        for (SeasonOutlook.Month month : outlook.months()) {
            Assessment then = call.inMonth(month.month()).assessment(onRecord);
            ahead.add(new MonthAhead(
                    month.chanceToSettle(),
                    month.chanceToMislead(),
                    NextChecks.suggested(then.offered()).stream()
                            .findFirst()
                            .map(NextCheck::character)
                            .map(character -> character.name())
                            .orElse(null)));
        }
        jdbc.sql("update call_state set outlook = ?::jsonb, outlook_of = ? where tree_id = ? and observer_id = ?")
                .params(text(ahead), due.changedAt(), due.treeId(), due.observerId())
                .update();
    }

    private String text(List<MonthAhead> ahead) {
        try {
            return json.writeValueAsString(ahead);
        } catch (JsonProcessingException broken) {
            throw new IllegalStateException("months can be written as JSON", broken);
        }
    }

    private record Due(UUID treeId, UUID observerId, Timestamp changedAt) {}
}
