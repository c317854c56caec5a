package org.goldthistle.platform;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A row that is added under an id that its client made, and never changed; the database numbers rows as it stores them. */
@MappedSuperclass
public abstract class Appended implements Persistable<UUID> {
    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private Long entryOrder;

    protected Appended() {}

    protected Appended(UUID id) {
        this.id = id;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return entryOrder == null;
    }
}
