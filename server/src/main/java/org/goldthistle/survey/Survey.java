package org.goldthistle.survey;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.goldthistle.call.SurveyRules;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One district's inventory of one season: what it allows, what it asks for, and the observers who work on it. */
@Entity
@Table(name = "survey")
class Survey {
    @Id
    private UUID id;

    private String name;
    private String district;
    private int season;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> groups;

    private String school;
    private String defaultTier;
    private Double wrongYes;
    private Double wrongNo;
    private boolean woundingAllowed;
    private boolean photoPositionKept;
    private boolean controlUsed;
    private boolean laboratoryUsed;
    private double plainShare;

    @JdbcTypeCode(SqlTypes.JSON)
    private List<List<Double>> area;

    private Instant closedAt;

    @Version
    private int version;

    @ElementCollection
    @CollectionTable(name = "survey_member", joinColumns = @JoinColumn(name = "survey_id"))
    @Column(name = "observer_id")
    private Set<UUID> members = new HashSet<>();

    @ElementCollection
    @CollectionTable(name = "survey_record", joinColumns = @JoinColumn(name = "survey_id"))
    private Set<LocalRecord> records = new HashSet<>();

    protected Survey() {}

    Survey(UUID id, SurveySettings settings) {
        this.id = id;
        change(settings);
    }

    final void change(SurveySettings settings) {
        this.name = settings.name().strip();
        this.district = settings.district().strip();
        this.season = settings.season();
        this.groups = List.copyOf(settings.groups());
        this.school = settings.school();
        this.defaultTier = settings.defaultTier();
        this.wrongYes = settings.wrongYes();
        this.wrongNo = settings.wrongNo();
        this.woundingAllowed = settings.woundingAllowed();
        this.photoPositionKept = settings.photoPositionKept();
        this.controlUsed = settings.controlUsed();
        this.laboratoryUsed = settings.laboratoryUsed();
        this.plainShare = settings.plainShare();
        this.area = settings.area() == null ? null : new ArrayList<>(settings.area());
        this.members.retainAll(settings.members());
        this.members.addAll(settings.members());
        Set<LocalRecord> asked = new HashSet<>(settings.records());
        this.records.retainAll(asked);
        this.records.addAll(asked);
    }

    void close(Instant now) {
        this.closedAt = now;
    }

    void reopen() {
        this.closedAt = null;
    }

    void addMember(UUID observerId) {
        members.add(observerId);
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    int version() {
        return version;
    }

    Instant closedAt() {
        return closedAt;
    }

    /** The groups whose trees are called; empty: every group of the library. */
    List<String> groups() {
        return List.copyOf(groups);
    }

    /** The district's outline as longitudes and latitudes; null: not given. */
    List<List<Double>> area() {
        return area;
    }

    SurveySettings settings() {
        return new SurveySettings(
                name,
                district,
                season,
                List.copyOf(groups),
                school,
                defaultTier,
                wrongYes,
                wrongNo,
                woundingAllowed,
                photoPositionKept,
                controlUsed,
                laboratoryUsed,
                plainShare,
                area,
                members.stream().sorted().toList(),
                records.stream().sorted().toList(),
                null);
    }

    SurveyRules rules() {
        Map<String, Map<String, Integer>> byGroup = new HashMap<>();
        for (LocalRecord one : records) {
            byGroup.computeIfAbsent(one.groupId(), group -> new HashMap<>()).put(one.taxonId(), one.trees());
        }
        return new SurveyRules(
                closedAt != null,
                school,
                defaultTier,
                wrongYes,
                wrongNo,
                woundingAllowed,
                photoPositionKept,
                controlUsed,
                laboratoryUsed,
                byGroup);
    }
}
