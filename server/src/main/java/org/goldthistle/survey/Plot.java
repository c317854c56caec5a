package org.goldthistle.survey;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A circle of ground whose stems are all recorded. */
@Entity
class Plot {
    @Id
    private UUID id;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    private Survey survey;

    private String code;
    private Double latitude;
    private Double longitude;
    private double radiusMetres;
    private Double altitudeMetres;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> habitat;

    private String notes;
    private Instant closedAt;

    @Version
    private int version;

    protected Plot() {}

    Plot(UUID id, Survey survey, PlotBody body) {
        this.id = id;
        this.survey = survey;
        change(body);
    }

    final void change(PlotBody body) {
        this.code = body.code().strip();
        this.latitude = body.latitude();
        this.longitude = body.longitude();
        this.radiusMetres = body.radiusMetres();
        this.altitudeMetres = body.altitudeMetres();
        this.habitat = List.copyOf(body.habitat());
        this.notes = body.notes();
    }

    void close(Instant now) {
        this.closedAt = now;
    }

    void reopen() {
        this.closedAt = null;
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

    double radiusMetres() {
        return radiusMetres;
    }

    List<String> habitat() {
        return List.copyOf(habitat);
    }

    Instant closedAt() {
        return closedAt;
    }

    int version() {
        return version;
    }

    boolean hasPosition() {
        return latitude != null;
    }

    PlotBody body() {
        return new PlotBody(code, latitude, longitude, radiusMetres, altitudeMetres, List.copyOf(habitat), notes, null);
    }
}
