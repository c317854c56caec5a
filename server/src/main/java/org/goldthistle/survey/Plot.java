package org.goldthistle.survey;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.util.UUID;

/** A piece of ground whose stems are all recorded. */
@Entity
class Plot {
    @Id
    private UUID id;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    private Survey survey;

    private String code;

    protected Plot() {}

    Plot(UUID id, Survey survey, String code) {
        this.id = id;
        this.survey = survey;
        this.code = code;
    }

    UUID id() {
        return id;
    }

    Survey survey() {
        return survey;
    }

    String code() {
        return code;
    }
}
