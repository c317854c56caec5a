package org.goldthistle.signing;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DeterminationRepository extends JpaRepository<Determination, UUID> {
    @Query("select d from Determination d where d.treeId = :treeId order by d.entryOrder desc")
    List<Determination> findOnTree(UUID treeId);
}
