package org.goldthistle.draft;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.formats.GroupSheetJson;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.springframework.lang.Nullable;

/** A sheet that somebody is working on, as far as it has come. */
@Entity
@Table(name = "sheet_draft")
class Draft {
    @Id
    private UUID id;

    private UUID ownerId;
    private String groupId;
    private UUID basedOn;
    private UUID overlayOn;

    @JdbcTypeCode(SqlTypes.JSON)
    private String body;

    private int revision;
    private Instant begunAt;
    private Instant changedAt;

    protected Draft() {}

    /** A draft that is about to be worked on. */
    Draft(UUID id, UUID ownerId, Beginning beginning, Instant now) {
        this.id = id;
        this.ownerId = ownerId;
        this.groupId = beginning.groupId();
        this.basedOn = beginning.basedOn();
        this.overlayOn = beginning.overlayOn();
        this.body = beginning.body();
        this.revision = 1;
        this.begunAt = now;
        this.changedAt = now;
    }

    /**
     * What a draft begins with.
     *
     * @param groupId the group that it changes; null: it becomes a new one
     * @param basedOn the version it was begun from; null: none
     * @param overlayOn the original that it is laid over; null: it stands by itself
     * @param body the sheet as JSON
     */
    record Beginning(
            @Nullable String groupId,
            @Nullable UUID basedOn,
            @Nullable UUID overlayOn,
            String body) {}

    final void change(String changed, Instant now) {
        this.body = changed;
        this.revision++;
        this.changedAt = now;
    }

    UUID id() {
        return id;
    }

    UUID ownerId() {
        return ownerId;
    }

    @Nullable String groupId() {
        return groupId;
    }

    @Nullable UUID basedOn() {
        return basedOn;
    }

    @Nullable UUID overlayOn() {
        return overlayOn;
    }

    /** @throws org.goldthistle.core.RefusedException as long as it breaks the format or a rule */
    GroupSheet sheet() {
        return GroupSheetJson.readStrictly(body);
    }

    String body() {
        return body;
    }

    int revision() {
        return revision;
    }

    Instant changedAt() {
        return changedAt;
    }
}
