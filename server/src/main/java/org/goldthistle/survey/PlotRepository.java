package org.goldthistle.survey;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PlotRepository extends JpaRepository<Plot, UUID> {
    @Query("select p from Plot p join fetch p.survey s where p.id = :plot and s.id = :survey")
    Optional<Plot> findInSurvey(UUID survey, UUID plot);

    Optional<Plot> findBySurveyIdAndCode(UUID surveyId, String code);
}
