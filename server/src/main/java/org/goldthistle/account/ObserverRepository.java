package org.goldthistle.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface ObserverRepository extends JpaRepository<Observer, UUID> {
    Optional<Observer> findByCallSignIgnoreCase(String callSign);

    List<Observer> findAllByOrderByCallSign();

    @Transactional
    @Modifying
    @Query("update Observer set passphraseHash = :hash where id = :id")
    void changeHash(UUID id, String hash);

    int countByRoleAndDisabledAtIsNull(String role);
}
