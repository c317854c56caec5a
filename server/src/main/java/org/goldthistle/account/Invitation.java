package org.goldthistle.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.goldthistle.core.Coded;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A link that works once: it lets somebody in, or lets an observer choose a new passphrase. */
@Entity
class Invitation {
    @Id
    private UUID id;

    @Column(name = "token_sha256")
    private String tokenSha256;

    private String callSign;
    private String role;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<UUID> surveyIds;

    private UUID resets;
    private UUID madeBy;
    private Instant madeAt;
    private Instant expiresAt;
    private Instant usedAt;

    protected Invitation() {}

    Invitation(UUID id, String callSign, Role role, List<UUID> surveyIds, UUID resets, UUID madeBy) {
        this.id = id;
        this.callSign = callSign;
        this.role = role.code();
        this.surveyIds = List.copyOf(surveyIds);
        this.resets = resets;
        this.madeBy = madeBy;
    }

    /** Gives it a token, in place of any earlier one. */
    void renew(String print, Instant now, Duration goodFor) {
        this.tokenSha256 = print;
        this.madeAt = now;
        this.expiresAt = now.plus(goodFor);
    }

    void use(Instant now) {
        this.usedAt = now;
    }

    boolean isGood(Instant now) {
        return usedAt == null && now.isBefore(expiresAt);
    }

    /** Whether it lets in the same person for the same, made by the same lead. */
    boolean isSameAs(Invitation other) {
        return callSign.equals(other.callSign)
                && role.equals(other.role)
                && surveyIds.equals(other.surveyIds)
                && Objects.equals(resets, other.resets)
                && madeBy.equals(other.madeBy);
    }

    boolean isUsed() {
        return usedAt != null;
    }

    UUID id() {
        return id;
    }

    String callSign() {
        return callSign;
    }

    Role role() {
        return Coded.find(Role.values(), role).orElseThrow();
    }

    List<UUID> surveyIds() {
        return List.copyOf(surveyIds);
    }

    /** Whose passphrase it replaces; null: it is for somebody new. */
    UUID resets() {
        return resets;
    }

    UUID madeBy() {
        return madeBy;
    }

    Instant expiresAt() {
        return expiresAt;
    }
}
