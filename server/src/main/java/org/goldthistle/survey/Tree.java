package org.goldthistle.survey;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A stem of a plot that belongs to a confusable group. */
@Entity
class Tree {
    @Id
    private UUID id;

    @ManyToOne(fetch = FetchType.LAZY, optional = false)
    private Plot plot;

    private int tag;
    private String groupId;
    private double azimuthDegrees;
    private double distanceMetres;
    private int diameterMillimetres;
    private String stage;
    private String origin;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> habitat;

    protected Tree() {}

    Tree(Plot plot, NewTree tree) {
        this.id = tree.id();
        this.plot = plot;
        this.tag = tree.tag();
        this.groupId = tree.groupId();
        this.azimuthDegrees = tree.azimuthDegrees();
        this.distanceMetres = tree.distanceMetres();
        this.diameterMillimetres = tree.diameterMillimetres();
        this.stage = tree.stage();
        this.origin = tree.origin();
        this.habitat = List.copyOf(tree.habitat());
    }

    SurveyedTree surveyed() {
        return new SurveyedTree(
                id,
                plot.survey().id(),
                plot.survey().name(),
                plot.survey().woundingAllowed(),
                plot.survey().photoPositionKept(),
                plot.code(),
                tag,
                groupId,
                azimuthDegrees,
                distanceMetres,
                diameterMillimetres,
                stage,
                origin,
                List.copyOf(habitat));
    }
}
