package org.goldthistle.account;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ObserverRepository extends JpaRepository<Observer, UUID> {
    Optional<Observer> findByCallSignIgnoreCase(String callSign);
}
