package org.goldthistle.sight;

import java.sql.Timestamp;
import java.time.Clock;
import java.util.Collection;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The record of what anybody was ever shown of what others made of trees. Whoever shows it notes it in the transaction
 * that read it; whoever asks whether somebody reads blind asks here.
 */
@Service
public class Sights {
    private final JdbcClient jdbc;
    private final Clock clock;

    Sights(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * Notes that an observer is shown what was made of trees, in one row; trees that nobody else has signed are left out.
     * An answer that is sent while it is read notes it before it begins.
     *
     * @param trees that are laid out openly; those whose signatures are kept from the observer do not belong here
     */
    @Transactional
    public void shown(UUID observerId, Scope scope, Collection<UUID> trees) {
        if (trees.isEmpty()) {
            return;
        }
        jdbc.sql("insert into sight (observer_id, scope, trees, seen_at) select :observer, :scope, s.trees, :at"
                        + " from (select array_agg(distinct tree_id) trees from determination"
                        + " where tree_id = any(:trees) and observer_id <> :observer) s where s.trees is not null")
                .param("observer", observerId)
                .param("scope", scope.code())
                .param("at", Timestamp.from(clock.instant()))
                .param("trees", trees.toArray(UUID[]::new))
                .update();
    }

    /** Notes that an observer is shown what was made of a tree in an earlier season, which nobody signed in this one perhaps. */
    @Transactional
    public void shownEarlier(UUID observerId, UUID treeId) {
        jdbc.sql("insert into sight (observer_id, scope, trees, seen_at) values (?, ?, array[cast(? as uuid)], ?)")
                .params(observerId, Scope.EARLIER.code(), treeId, Timestamp.from(clock.instant()))
                .update();
    }

    /** Whether an observer was ever shown what somebody else made of a tree, and so cannot read it blind. */
    @Transactional(readOnly = true)
    public boolean hasSeen(UUID observerId, UUID treeId) {
        return jdbc.sql("select " + seen(":observer", ":tree"))
                .param("observer", observerId)
                .param("tree", treeId)
                .query(Boolean.class)
                .single();
    }

    /** Whether somebody in a survey may sign in, has not signed a tree and was never shown what was made of it. */
    @Transactional(readOnly = true)
    public boolean canBeReadBlind(UUID surveyId, UUID treeId) {
        return jdbc.sql("select " + readableBlind(":survey", ":tree"))
                .param("survey", surveyId)
                .param("tree", treeId)
                .query(Boolean.class)
                .single();
    }

    /** {@link #hasSeen} for queries: expressions of an observer's id and of a tree's. */
    public static String seen(String observer, String tree) {
        return "exists (select 1 from sight v where v.observer_id = " + observer + " and v.trees @> array[" + tree
                + "]::uuid[])";
    }

    /** The opposite of {@link #hasSeen} for queries over many trees: what an observer has seen is gathered once. */
    public static String notAmongSeen(String observer, String tree) {
        return tree + " not in (select unnest(v.trees) from sight v where v.observer_id = " + observer + ")";
    }

    /** {@link #canBeReadBlind} for queries: expressions of a survey's id and of a tree's. */
    public static String readableBlind(String survey, String tree) {
        return "exists (select 1 from survey_member m join observer able on able.id = m.observer_id"
                + " and able.disabled_at is null and able.role <> 'contractor' where m.survey_id = " + survey
                + " and not exists (select 1 from determination d where d.tree_id = " + tree
                + " and d.observer_id = m.observer_id) and not " + seen("m.observer_id", tree) + ")";
    }
}
