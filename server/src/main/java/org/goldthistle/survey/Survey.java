package org.goldthistle.survey;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;

/** One district's inventory of one season, and the observers who work on it. */
@Entity
class Survey {
    @Id
    private UUID id;

    private String name;
    private String district;
    private int season;
    private boolean woundingAllowed;
    private boolean photoPositionKept;

    @ElementCollection
    @CollectionTable(name = "survey_member", joinColumns = @JoinColumn(name = "survey_id"))
    @Column(name = "observer_id")
    private Set<UUID> members = new HashSet<>();

    protected Survey() {}

    Survey(UUID id, String name, String district, int season, Set<UUID> members) {
        this.id = id;
        this.name = name;
        this.district = district;
        this.season = season;
        this.members = new HashSet<>(members);
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    String district() {
        return district;
    }

    int season() {
        return season;
    }

    boolean woundingAllowed() {
        return woundingAllowed;
    }

    boolean photoPositionKept() {
        return photoPositionKept;
    }

    void change(boolean wounding, boolean photoPosition) {
        this.woundingAllowed = wounding;
        this.photoPositionKept = photoPosition;
    }

    Set<UUID> members() {
        return Set.copyOf(members);
    }
}
