package org.goldthistle.learning;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VerifiedFileRepository extends JpaRepository<VerifiedFile, UUID> {
    List<VerifiedFile> findAllByOrderByAddedAtAscIdAsc();
}
