package org.goldthistle.control;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.call.TreeStanding;
import org.goldthistle.core.control.Clearance;
import org.goldthistle.core.control.NearStem;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.core.plot.PolarPosition;
import org.goldthistle.core.sheet.GroupSheet;
import org.goldthistle.core.sheet.Standing;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.library.LibraryService;
import org.goldthistle.survey.SurveyedTree;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which stems stand as an invasive taxon, and what stands near them. */
@Component
class ControlStems {
    private static final String STEMS = "select t.id, t.plot_id, p.code, p.latitude, p.longitude, t.tag,"
            + " t.azimuth_degrees, t.distance_metres, t.diameter_millimetres, t.group_id, t.plain_taxon, t.stands_as,"
            + " t.stands_name, " + SurveyedTree.SHOWN + " seen, d.id determination_id, d.sheet_version_id, d.taxon_id"
            + " from tree t join plot p on p.id = t.plot_id"
            + " left join lateral (select id, sheet_version_id, taxon_id from determination where tree_id = t.id"
            + " order by entry_order desc limit 1) d on true where p.survey_id = :survey";
    private static final String IN_ORDER = " order by p.code, t.tag";

    private final JdbcClient jdbc;
    private final LibraryService library;

    ControlStems(JdbcClient jdbc, LibraryService library) {
        this.jdbc = jdbc;
        this.library = library;
    }

    /** The stems whose last call named an invasive taxon, as far as an observer may see it; by plot and tag. */
    List<ControlStem> invasive(UUID surveyId, UUID observerId) {
        return jdbc
                .sql(STEMS + " and t.stands_as = 'taxon' and d.taxon_id is not null and " + SurveyedTree.SHOWN
                        + IN_ORDER)
                .param("survey", surveyId)
                .param("observer", observerId)
                .query(ControlStems::stem)
                .list()
                .stream()
                .filter(stem -> Clearance.concerns(taxonOf(stem)))
                .toList();
    }

    /** How many trees there are of which an observer may not know what they were called. */
    int keptFrom(UUID surveyId, UUID observerId) {
        return jdbc.sql(
                        "select count(*) from tree t join plot p on p.id = t.plot_id where p.survey_id = :survey and not "
                                + SurveyedTree.SHOWN)
                .param("survey", surveyId)
                .param("observer", observerId)
                .query(Integer.class)
                .single();
    }

    /** All stems of plots, by plot and tag. */
    List<ControlStem> of(UUID surveyId, Collection<UUID> plots, UUID observerId) {
        return jdbc.sql(STEMS + " and p.id = any(:plots)" + IN_ORDER)
                .param("survey", surveyId)
                .param("observer", observerId)
                .param("plots", plots.toArray(UUID[]::new))
                .query(ControlStems::stem)
                .list();
    }

    private static ControlStem stem(ResultSet row, int i) throws SQLException {
        boolean seen = row.getBoolean("seen");
        Double latitude = row.getObject("latitude", Double.class);
        return new ControlStem(
                row.getObject("id", UUID.class),
                row.getObject("plot_id", UUID.class),
                row.getString("code"),
                latitude == null ? null : new GeoPosition(latitude, row.getDouble("longitude")),
                row.getInt("tag"),
                new PolarPosition(row.getDouble("azimuth_degrees"), row.getDouble("distance_metres")),
                row.getInt("diameter_millimetres"),
                row.getString("group_id"),
                row.getString("plain_taxon"),
                seen ? row.getString("stands_as") : TreeStanding.REVIEW.code(),
                seen ? row.getString("stands_name") : null,
                seen ? row.getObject("determination_id", UUID.class) : null,
                seen ? row.getObject("sheet_version_id", UUID.class) : null,
                seen ? row.getString("taxon_id") : null);
    }

    /** The sheet that a stem's last call was signed on. */
    StoredSheet sheetOf(ControlStem stem) {
        return library.find(stem.sheetVersionId());
    }

    /** The taxon that a stem's last call named. */
    Taxon taxonOf(ControlStem stem) {
        return sheetOf(stem).sheet().taxon(stem.taxonId()).orElseThrow();
    }

    /**
     * What stands near a stem and must not be touched.
     *
     * @param free stems of the same taxon that are approved, or stand no more
     */
    List<NearStem> near(ControlStem stem, List<ControlStem> ofPlot, Set<UUID> free) {
        GroupSheet sheet = sheetOf(stem).sheet();
        List<NearStem.Beside> beside = new ArrayList<>();
        for (ControlStem other : ofPlot) {
            if (!other.id().equals(stem.id())
                    && !free.contains(other.id())
                    && other.plotId().equals(stem.plotId())) {
                beside(sheet, stem, other).ifPresent(beside::add);
            }
        }
        return NearStem.around(stem.at(), beside);
    }

    private Optional<NearStem.Beside> beside(GroupSheet sheet, ControlStem stem, ControlStem other) {
        if (other.standsAs().equals(TreeStanding.PLAIN.code())) {
            return plainly(sheet, other).map(taxon -> beside(stem, other, taxon));
        }
        if (other.taxonId() != null && sheetOf(other).sheet().id().equals(sheet.id())) {
            return Optional.of(beside(stem, other, taxonOf(other)));
        }
        if (other.taxonId() != null) {
            return Optional.empty(); // of another group
        }
        if (other.determinationId() != null && sheet.id().equals(other.groupId())) {
            return Optional.of(beside(other, NearStem.Kind.KEEP, other.standsName() == null ? "" : other.standsName()));
        }
        return other.determinationId() == null
                ? Optional.of(beside(other, NearStem.Kind.UNREAD, ""))
                : Optional.empty();
    }

    private static NearStem.Beside beside(ControlStem stem, ControlStem other, Taxon taxon) {
        NearStem.Kind kind = taxon.id().equals(stem.taxonId()) ? NearStem.Kind.NOT_APPROVED : kindOf(taxon);
        return beside(other, kind, taxon.name().commonName());
    }

    private static NearStem.Beside beside(ControlStem stem, NearStem.Kind kind, String name) {
        return new NearStem.Beside(stem.tag(), kind, name, stem.at());
    }

    private static NearStem.Kind kindOf(Taxon taxon) {
        boolean scarce = taxon.standing() == Standing.SCARCE || taxon.standing() == Standing.PROTECTED;
        return scarce || taxon.origin() == TaxonOrigin.NATIVE ? NearStem.Kind.KEEP : NearStem.Kind.LOOK_ALIKE;
    }

    /** The taxon of a sheet that a stem is plainly said to be. */
    private static Optional<Taxon> plainly(GroupSheet sheet, ControlStem stem) {
        String said = stem.plainTaxon();
        return sheet.taxa().stream()
                .filter(taxon -> Stream.of(
                                taxon.name().commonName(), taxon.name().scientificName())
                        .anyMatch(name -> name.equalsIgnoreCase(said)))
                .findFirst();
    }
}
