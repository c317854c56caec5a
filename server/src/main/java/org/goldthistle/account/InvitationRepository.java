package org.goldthistle.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface InvitationRepository extends JpaRepository<Invitation, UUID> {
    Optional<Invitation> findByTokenSha256(String print);

    List<Invitation> findByMadeByAndUsedAtIsNullAndExpiresAtAfterOrderByMadeAtDesc(UUID madeBy, Instant now);
}
