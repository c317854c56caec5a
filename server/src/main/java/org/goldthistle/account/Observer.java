package org.goldthistle.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.core.Coded;

/** Somebody who signs in, known by a call sign. */
@Entity
class Observer {
    @Id
    private UUID id;

    private String callSign;
    private String passphraseHash;
    private String role;
    private Instant createdAt;

    protected Observer() {}

    Observer(UUID id, String callSign, String passphraseHash, Role role, Instant createdAt) {
        this.id = id;
        this.callSign = callSign;
        this.passphraseHash = passphraseHash;
        this.role = role.code();
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    String callSign() {
        return callSign;
    }

    String passphraseHash() {
        return passphraseHash;
    }

    SignedInObserver signedIn() {
        return new SignedInObserver(
                id, callSign, Coded.find(Role.values(), role).orElseThrow());
    }
}
