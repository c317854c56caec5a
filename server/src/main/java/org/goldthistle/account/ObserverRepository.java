package org.goldthistle.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ObserverRepository extends JpaRepository<Observer, UUID> {
    Optional<Observer> findByCallSignIgnoreCase(String callSign);

    List<Observer> findAllByOrderByCallSign();

    int countByRoleAndDisabledAtIsNull(String role);
}
