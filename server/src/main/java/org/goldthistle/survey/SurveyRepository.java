package org.goldthistle.survey;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SurveyRepository extends JpaRepository<Survey, UUID> {
    @Query(
            "select s from Survey s where :observer member of s.members order by case when s.closedAt is null then 0 else 1 end, s.season desc, s.name")
    List<Survey> findOf(UUID observer);

    @Query("select count(s) > 0 from Survey s where s.id = :survey and :observer member of s.members")
    boolean isMember(UUID survey, UUID observer);
}
