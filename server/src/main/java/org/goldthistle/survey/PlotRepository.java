package org.goldthistle.survey;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlotRepository extends JpaRepository<Plot, UUID> {}
