package org.goldthistle.today;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.goldthistle.call.CallInHand;
import org.goldthistle.core.plan.NextChecks;
import org.goldthistle.core.plan.SeasonOutlook;
import org.goldthistle.core.verdict.Assessment;
import org.goldthistle.core.verdict.CallRecord;
import org.goldthistle.entry.CallsInHand;
import org.goldthistle.platform.Settings;
import org.goldthistle.signing.TreeSignatures;
import org.goldthistle.survey.SurveyedTree;
import org.goldthistle.survey.TreeService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Plays the months ahead of contested calls through in the background and keeps what came out, once nobody has written
 * to a call for a while: whoever stands at the tree would only outdate it. Each call is locked while it is played, so
 * that several instances of the application share the work.
 */
@Component
class OutlookKeeper {
    private static final int EVERY = 2000; // milliseconds

    private final CallsInHand calls;
    private final TreeSignatures signatures;
    private final TreeService trees;
    private final JdbcClient jdbc;
    private final TransactionTemplate inTransaction;
    private final Clock clock;
    private final Duration rest;

    OutlookKeeper(
            CallsInHand calls,
            TreeSignatures signatures,
            TreeService trees,
            JdbcClient jdbc,
            TransactionTemplate inTransaction,
            Clock clock,
            Settings settings) {
        this.calls = calls;
        this.signatures = signatures;
        this.trees = trees;
        this.jdbc = jdbc;
        this.inTransaction = inTransaction;
        this.clock = clock;
        this.rest = settings.outlook().rest();
    }

    /** Plays every contested call through that changed since it was played last, and is left alone now. */
    @Scheduled(fixedDelay = EVERY)
    void playAll() {
        while (Boolean.TRUE.equals(inTransaction.execute(status -> playOne()))) {
            // one call a transaction, so that what was played is there at once
        }
    }

    private boolean playOne() {
        Optional<Due> due = jdbc.sql("select tree_id, observer_id, changed_at from call_state where contested"
                        + " and outlook_of is distinct from changed_at and changed_at <= ?"
                        + " order by changed_at desc limit 1 for update skip locked")
                .param(Timestamp.from(clock.instant().minus(rest)))
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
        CallInHand call = calls.begun(tree, due.observerId()).orElseThrow().inHand();
        CallRecord onRecord = signatures.onRecord(tree, due.observerId()).of(call);
        List<SeasonOutlook.Month> months = call.outlook(onRecord);
        List<String> checks = new ArrayList<>();
        int best = 1;
        for (SeasonOutlook.Month month : months) {
            checks.add(firstCheck(call.inMonth(month.month()).assessment(onRecord)));
            best = month.chanceToSettle() > months.get(best - 1).chanceToSettle() ? month.month() : best;
        }
        jdbc.sql("update call_state set settles = ?, checks = ?, best_month = ?, outlook_of = ?"
                        + " where tree_id = ? and observer_id = ?")
                .params(
                        months.stream().map(SeasonOutlook.Month::chanceToSettle).toArray(Double[]::new),
                        checks.toArray(String[]::new),
                        best,
                        due.changedAt(),
                        due.treeId(),
                        due.observerId())
                .update();
    }

    /** The name of the check that is worth making first; null: none is. */
    private static String firstCheck(Assessment then) {
        return NextChecks.suggested(then.offered()).stream()
                .findFirst()
                .map(next -> next.character().name())
                .orElse(null);
    }

    private record Due(UUID treeId, UUID observerId, Timestamp changedAt) {}
}
