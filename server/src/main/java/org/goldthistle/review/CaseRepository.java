package org.goldthistle.review;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CaseRepository extends JpaRepository<ReviewCase, UUID> {
    /** The case of a tree that is not settled. */
    @Query("select k from ReviewCase k where k.treeId = ?1 and k.state <> 'settled'")
    Optional<ReviewCase> findOpen(UUID treeId);

    List<ReviewCase> findByTreeIdOrderByOpenedAtDesc(UUID treeId);

    Optional<ReviewCase> findBySurveyIdAndId(UUID surveyId, UUID id);
}
