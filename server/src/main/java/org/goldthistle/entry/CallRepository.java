package org.goldthistle.entry;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Queries made with every reading are written out, since those derived from names are parsed anew each time. */
interface CallRepository extends JpaRepository<Call, UUID> {
    /** An observer's calls on a tree, one a group; the one in hand first. */
    @Query("select c from Call c where c.treeId = :treeId and c.observerId = :observerId order by c.takenUpAt desc")
    List<Call> findOnTree(UUID treeId, UUID observerId);

    /** The call that an observer has in hand on a tree. */
    default Optional<Call> findInHand(UUID treeId, UUID observerId) {
        return findOnTree(treeId, observerId).stream().findFirst();
    }

    Optional<Call> findByTreeIdAndObserverIdAndGroupId(UUID treeId, UUID observerId, String groupId);

    /** Whether an observer has read something of another tree of a survey. */
    @Query(
            nativeQuery = true,
            value = "select exists (select 1 from call_state where survey_id = :surveyId and observer_id = :observerId"
                    + " and tree_id <> :treeId and readings > 0)")
    boolean hasReadOther(UUID surveyId, UUID observerId, UUID treeId);

    /** The trees of a plot on which an observer has a call, or for which anybody signed. */
    @Query(
            nativeQuery = true,
            value = "select t.id from tree t where t.plot_id = :plotId and (exists (select 1 from call c"
                    + " where c.tree_id = t.id and c.observer_id = :observerId)"
                    + " or exists (select 1 from determination d where d.tree_id = t.id))")
    Set<UUID> findTouched(UUID plotId, UUID observerId);

    /** Who has begun a call on a tree. */
    @Query("select distinct c.observerId from Call c where c.treeId = :treeId")
    List<UUID> findReadersOf(UUID treeId);

    List<Call> findByTreeId(UUID treeId);

    boolean existsByTreeId(UUID treeId);
}
