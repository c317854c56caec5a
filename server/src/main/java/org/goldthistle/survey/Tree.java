package org.goldthistle.survey;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.util.List;
import java.util.UUID;
import org.goldthistle.call.Circumstances;
import org.goldthistle.call.TreeStanding;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A stem of a plot: a call on the Bench, or plainly a taxon that nobody doubts. */
@Entity
class Tree {
    @Id
    private UUID id;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    private Plot plot;

    private int tag;
    private double azimuthDegrees;
    private double distanceMetres;
    private int diameterMillimetres;
    private Integer heightDecimetres;
    private String stage;
    private String origin;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> habitat;

    private String conditionNotes;
    private String groupId;
    private String plainTaxon;
    private UUID cloneOf;

    @JdbcTypeCode(SqlTypes.JSON)
    private VigourBody vigour;

    private boolean favoured;

    @Column(updatable = false) // afterwards it follows from what is signed
    private String standsAs;

    @JdbcTypeCode(SqlTypes.ARRAY)
    @Column(insertable = false, updatable = false) // reviews set it
    private List<UUID> shownTo;

    @Formula("(select count(*) from tree joined where joined.clone_of = id)")
    private int joinedStems;

    @Version
    private int version;

    protected Tree() {}

    Tree(UUID id, Plot plot, TreeBody body) {
        this.id = id;
        this.plot = plot;
        this.standsAs = TreeStanding.entered(body.groupId() != null).code();
        change(body);
    }

    final void change(TreeBody body) {
        this.tag = body.tag();
        this.azimuthDegrees = body.azimuthDegrees();
        this.distanceMetres = body.distanceMetres();
        this.diameterMillimetres = body.diameterMillimetres();
        this.heightDecimetres = body.heightDecimetres();
        this.stage = body.stage();
        this.origin = body.origin();
        this.habitat = body.habitat() == null ? null : List.copyOf(body.habitat());
        this.conditionNotes = body.conditionNotes();
        this.groupId = body.groupId();
        this.plainTaxon = body.plainTaxon() == null ? null : body.plainTaxon().strip();
        this.cloneOf = body.cloneOf();
        this.vigour = body.vigour() == null ? null : body.vigour().orNull();
        this.favoured = Boolean.TRUE.equals(body.favoured());
    }

    UUID id() {
        return id;
    }

    Plot plot() {
        return plot;
    }

    String groupId() {
        return groupId;
    }

    UUID cloneOf() {
        return cloneOf;
    }

    int tag() {
        return tag;
    }

    int version() {
        return version;
    }

    TreeBody body() {
        return new TreeBody(
                tag,
                azimuthDegrees,
                distanceMetres,
                diameterMillimetres,
                heightDecimetres,
                stage,
                origin,
                habitat,
                conditionNotes,
                groupId,
                plainTaxon,
                cloneOf,
                vigour,
                favoured ? true : null,
                null);
    }

    SurveyedTree surveyed() {
        return new SurveyedTree(
                id,
                plot.survey().id(),
                plot.survey().name(),
                plot.survey().rules(),
                plot.id(),
                plot.code(),
                tag,
                groupId,
                cloneOf,
                1 + joinedStems,
                diameterMillimetres,
                stage,
                origin,
                Circumstances.ground(habitat, plot.habitat()),
                shownTo == null ? null : List.copyOf(shownTo));
    }
}
