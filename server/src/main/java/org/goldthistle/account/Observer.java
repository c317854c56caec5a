package org.goldthistle.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.goldthistle.core.sheet.Faculty;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** Somebody who signs in, known by a call sign. */
@Entity
class Observer {
    @Id
    private UUID id;

    private String callSign;
    private String passphraseHash;
    private String role;
    private Instant createdAt;
    private Instant disabledAt;
    private Instant resetAt;
    private UUID resetBy;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> lacking = List.of();

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

    Instant createdAt() {
        return createdAt;
    }

    /** Since when they may not sign in; null: they may. */
    Instant disabledAt() {
        return disabledAt;
    }

    void disable(Instant now) {
        this.disabledAt = now;
    }

    void enable() {
        this.disabledAt = null;
    }

    void changeRole(Role asked) {
        this.role = asked.code();
    }

    void replacePassphrase(String hash, Instant now, UUID linkMadeBy) {
        this.passphraseHash = hash;
        this.resetAt = now;
        this.resetBy = linkMadeBy;
    }

    /** When the passphrase was last replaced by a link; null: never. */
    Instant resetAt() {
        return resetAt;
    }

    /** Who made that link. */
    UUID resetBy() {
        return resetBy;
    }

    /** What they said they do not have. */
    Set<Faculty> lacking() {
        Set<Faculty> found = EnumSet.noneOf(Faculty.class);
        for (String code : lacking) {
            found.add(Coded.find(Faculty.values(), code).orElseThrow());
        }
        return found;
    }

    void changeLacking(Set<Faculty> faculties) {
        this.lacking = faculties.stream().map(Faculty::code).sorted().toList();
    }

    SignedInObserver signedIn() {
        return new SignedInObserver(
                id, callSign, Coded.find(Role.values(), role).orElseThrow());
    }
}
