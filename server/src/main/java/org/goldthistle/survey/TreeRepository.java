package org.goldthistle.survey;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface TreeRepository extends JpaRepository<Tree, UUID> {
    @Query("select t from Tree t join fetch t.plot p join fetch p.survey s where t.id = :tree and s.id = :survey")
    Optional<Tree> findInSurvey(UUID survey, UUID tree);

    @Query("select t from Tree t join fetch t.plot p join fetch p.survey s where p.id = :plot and s.id = :survey"
            + " order by t.tag")
    List<Tree> findInPlot(UUID survey, UUID plot);

    Optional<Tree> findByPlotIdAndTag(UUID plotId, int tag);

    int countByCloneOf(UUID bearer);

    @Query("select t.tag from Tree t where t.plot.id = :plot and t.distanceMetres > :radius order by t.tag")
    List<Integer> tagsBeyond(UUID plot, double radius);
}
