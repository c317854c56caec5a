package org.goldthistle.exchange;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.goldthistle.call.StoredSheet;
import org.goldthistle.core.plot.GeoPosition;
import org.goldthistle.core.plot.PolarPosition;
import org.goldthistle.core.sheet.Taxon;
import org.goldthistle.core.sheet.TaxonOrigin;
import org.goldthistle.formats.DarwinCoreArchive;
import org.goldthistle.formats.DarwinCoreTable;
import org.goldthistle.formats.WrittenDetermination;
import org.goldthistle.formats.WrittenDetermination.WrittenName;
import org.goldthistle.formats.WrittenReading;
import org.goldthistle.library.LibraryService;
import org.goldthistle.photo.PhotoFile;
import org.goldthistle.survey.SurveyService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Writes a survey as an archive of the Darwin Core, as far as who asks may see it. */
@Service
class DarwinCoreExport {
    private static final String URN = "urn:uuid:";

    private static final String STEMS = "select t.id, t.tag, t.clone_of, t.stage, t.origin, t.group_id, t.plain_taxon,"
            + " t.azimuth_degrees, t.distance_metres, t.diameter_millimetres, t.height_decimetres, t.reviewed,"
            + " t.condition_notes, coalesce(t.habitat, p.habitat) ground, p.id plot_id, p.code, p.latitude, p.longitude, "
            + SurveyRows.SHOWN.replace("t.", "b.")
            + " seen, d.outcome, d.taxon_id, d.sheet_version_id, d.call_sign, d.day,"
            + " exists (select 1 from review_case k join verification v on v.case_id = k.id where k.tree_id ="
            + " b.id and v.verified and not exists (select 1 from verification w"
            + " where w.case_id = k.id and w.entry_order > v.entry_order)) verified"
            + " from plot p join tree t on t.plot_id = p.id join tree b on b.id = coalesce(t.clone_of, t.id)"
            + " left join lateral (select x.outcome, x.taxon_id,"
            + " x.sheet_version_id, o.call_sign, to_char(x.signed_at at time zone 'UTC', 'YYYY-MM-DD') as day"
            + " from determination x join observer o on o.id = x.observer_id where x.tree_id = b.id"
            + " order by x.entry_order desc limit 1) d on true where p.survey_id = ? order by p.code, t.tag";

    private static final String READ =
            "select t.id, t.diameter_millimetres, t.height_decimetres, q.readings from plot p"
                    + " join tree t on t.plot_id = p.id" + ReadingsOfTree.JOIN
                    + " where p.survey_id = ? order by p.code, t.tag";

    private static final String PHOTOS =
            "select t.id tree_id, t.plot_id, f.id, f.media_type, f.character_id, o.call_sign, f.content,"
                    + " to_char(f.recorded_at at time zone 'UTC', 'YYYY-MM-DD') as day from photo f join call c on c.id = f.call_id"
                    + " join observer o on o.id = c.observer_id join tree t on t.id = c.tree_id join plot p on p.id = t.plot_id"
                    + " where (c.observer_id = ? or " + SurveyRows.SHOWN
                    + ") and p.survey_id = ? order by p.code, t.tag, f.entry_order";

    /** Plots with a tree that is plain, or was in anybody's signature, of a taxon whose places are kept. */
    private static final String COARSE = "select distinct t.plot_id from determination d join sheet_version v on"
            + " v.id = d.sheet_version_id join tree t on t.id = d.tree_id join plot p on p.id = t.plot_id"
            + " where p.survey_id = :survey and v.group_id = :group and d.taxon_id = :taxon"
            + " union select t.plot_id from tree t join plot p on p.id = t.plot_id"
            + " where p.survey_id = :survey and t.plain_taxon = :name";

    private final SurveyService surveys;
    private final ExchangeRules rules;
    private final SurveyRows rows;
    private final ReadingsOfTree readings;
    private final SignaturesOfSurvey signatures;
    private final LibraryService library;
    private final JdbcClient jdbc;
    private final Clock clock;

    DarwinCoreExport(
            SurveyService surveys,
            ExchangeRules rules,
            SurveyRows rows,
            ReadingsOfTree readings,
            SignaturesOfSurvey signatures,
            LibraryService library,
            JdbcClient jdbc,
            Clock clock) {
        this.surveys = surveys;
        this.rules = rules;
        this.rows = rows;
        this.readings = readings;
        this.signatures = signatures;
        this.library = library;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What one archive is written by. */
    private record Writing(
            DarwinCoreArchive archive,
            ExchangeRulesDto rules,
            String dataset,
            Set<UUID> coarse,
            UnaryOperator<String> called) {}

    /** @throws org.goldthistle.platform.Problem if the observer does not belong to the survey */
    void write(UUID surveyId, UUID observerId, OutputStream to) throws IOException {
        ExchangeRulesDto asked = rules.of(surveyId, observerId);
        String title = surveys.nameFor(surveyId, observerId);
        var dataset = new DarwinCoreArchive.Dataset(
                URN + surveyId,
                title,
                "en",
                "Trees of taxa that get mixed up: where they stand, what was read on them, and what was signed by whom.",
                asked.rightsHolder(),
                asked.license(),
                LocalDate.now(clock).toString());
        rows.note(surveyId, observerId);
        var archive = new DarwinCoreArchive(to, dataset);
        rows.atOneInstant(() -> write(
                surveyId,
                observerId,
                new Writing(archive, asked, title, coarse(surveyId, asked), asked.observersCalled())));
        archive.finish();
    }

    private void write(UUID surveyId, UUID observerId, Writing writing) throws IOException {
        DarwinCoreArchive archive = writing.archive();
        archive.begin(DarwinCoreTable.OCCURRENCE);
        rows.read(STEMS, surveyId, observerId, row -> occurrence(writing, row));
        archive.begin(DarwinCoreTable.MEASUREMENT);
        rows.read(READ, surveyId, observerId, row -> measured(writing, row));
        archive.begin(DarwinCoreTable.IDENTIFICATION);
        rows.read(SignaturesOfSurvey.QUERY, surveyId, observerId, row -> signed(writing, row));
        archive.begin(DarwinCoreTable.MULTIMEDIA);
        rows.read(PHOTOS, surveyId, observerId, row -> photo(writing, row));
        rows.read(
                PHOTOS,
                surveyId,
                observerId,
                row -> archive.file(file(row), new ByteArrayInputStream(shown(writing, row))));
    }

    /** Of a plot that is told to lie elsewhere a photo says nothing but what is to be seen on it. */
    private static byte[] shown(Writing writing, ResultSet row) throws SQLException {
        byte[] content = row.getBytes("content");
        return writing.coarse().contains(row.getObject("plot_id", UUID.class))
                ? PhotoFile.withoutPosition(content)
                : content;
    }

    private Set<UUID> coarse(UUID surveyId, ExchangeRulesDto rules) {
        Set<UUID> plots = new HashSet<>();
        if (rules.coarseMetres() > 0) {
            for (ExchangeRulesDto.KeptTaxon kept : rules.coarseTaxa()) {
                plots.addAll(jdbc.sql(COARSE)
                        .param("survey", surveyId)
                        .param("group", kept.groupId())
                        .param("taxon", kept.taxonId())
                        .param(
                                "name",
                                SignaturesOfSurvey.name(library.newest(kept.groupId()), kept.taxonId())
                                        .scientific())
                        .query(UUID.class)
                        .list());
            }
        }
        return plots;
    }

    /** Where something is told to lie: nothing is known of a plot without a position. */
    private record Told(Double latitude, Double longitude, String datum, Double metres, String how) {}

    private static Told place(Writing writing, ResultSet row) throws SQLException {
        Double latitude = row.getObject("latitude", Double.class);
        Double longitude = row.getObject("longitude", Double.class);
        if (latitude == null || longitude == null) {
            return new Told(null, null, null, null, null);
        }
        var inPlot = new PolarPosition(row.getDouble("azimuth_degrees"), row.getDouble("distance_metres"));
        GeoPosition stem = new GeoPosition(latitude, longitude).at(inPlot.azimuthDegrees(), inPlot.distanceMetres());
        int grid = writing.rules().coarseMetres();
        if (!writing.coarse().contains(row.getObject("plot_id", UUID.class))) {
            return told(stem, inPlot.uncertaintyMetres(), null);
        }
        GeoPosition square = new GeoPosition(latitude, longitude).inGridOf(grid);
        return told(
                square,
                grid * Math.sqrt(0.5) + inPlot.distanceMetres() + inPlot.uncertaintyMetres(),
                "the middle of a square of " + grid
                        + " m in which the plot lies, since the places of a taxon in it are kept");
    }

    private static Told told(GeoPosition at, double metres, String how) {
        return new Told(
                Math.round(at.latitude() * 1e7) / 1e7,
                Math.round(at.longitude() * 1e7) / 1e7,
                "EPSG:4326",
                Math.ceil(metres),
                how);
    }

    private void occurrence(Writing writing, ResultSet row) throws IOException, SQLException {
        Told place = place(writing, row);
        boolean seen = row.getBoolean("seen");
        boolean signed = seen && row.getString("outcome") != null;
        StoredSheet sheet = signed ? library.find(row.getObject("sheet_version_id", UUID.class)) : null;
        WrittenName name = name(row, sheet);
        UUID bearer = row.getObject("clone_of", UUID.class);
        boolean kept = place.how() != null;
        writing.archive()
                .row(
                        URN + row.getString("id"),
                        "HumanObservation",
                        "present",
                        URN + (bearer == null ? row.getString("id") : bearer),
                        row.getInt("tag"),
                        signed ? writing.called().apply(row.getString("call_sign")) : null,
                        signed ? row.getString("day") : null,
                        URN + row.getString("plot_id"),
                        kept ? null : row.getString("code"),
                        words(row.getArray("ground")),
                        place.latitude(),
                        place.longitude(),
                        place.datum(),
                        place.metres(),
                        place.how(),
                        row.getString("stage"),
                        establishment(row, sheet),
                        degree(row, sheet),
                        name.scientific(),
                        name.authorship(),
                        name.rank(),
                        name.common(),
                        "Plantae",
                        signed ? writing.called().apply(row.getString("call_sign")) : null,
                        signed ? row.getString("day") : null,
                        !seen
                                ? "under review"
                                : row.getBoolean("verified")
                                        ? "verified"
                                        : row.getBoolean("reviewed") ? "reviewed" : signed ? "signed" : "not signed",
                        row.getString("condition_notes"),
                        writing.rules().license(),
                        writing.rules().rightsHolder(),
                        writing.dataset());
    }

    /** Plain, as it was signed, or as its group while nobody has, or while the caller is to read it blind. */
    private WrittenName name(ResultSet row, StoredSheet signedOn) throws SQLException {
        if (row.getString("plain_taxon") != null) {
            return new WrittenName(row.getString("plain_taxon"), "", "species", "");
        }
        return signedOn != null
                ? SignaturesOfSurvey.name(signedOn, row.getString("taxon_id"))
                : SignaturesOfSurvey.name(library.newest(row.getString("group_id")), null);
    }

    private static TaxonOrigin origin(ResultSet row, StoredSheet sheet) throws SQLException {
        String taxon = sheet == null ? null : row.getString("taxon_id");
        return taxon == null
                ? null
                : sheet.sheet().taxon(taxon).map(Taxon::origin).orElse(null);
    }

    private static String establishment(ResultSet row, StoredSheet sheet) throws SQLException {
        TaxonOrigin origin = origin(row, sheet);
        return origin == null ? null : origin == TaxonOrigin.NATIVE ? "native" : "introduced";
    }

    private static String degree(ResultSet row, StoredSheet sheet) throws SQLException {
        if (row.getString("origin").equals("planted")) {
            return "cultivated";
        }
        TaxonOrigin origin = origin(row, sheet);
        return origin == null
                ? null
                : switch (origin) {
                    case NATIVE -> "native";
                    case INTRODUCED -> null;
                    case INVASIVE -> "invasive";
                };
    }

    private static String words(Array array) throws SQLException {
        return array == null ? null : String.join("; ", (String[]) array.getArray());
    }

    private void measured(Writing writing, ResultSet row) throws IOException, SQLException {
        String id = URN + row.getString("id");
        fact(writing, id, "diameter at breast height", row.getInt("diameter_millimetres"), "mm");
        if (row.getObject("height_decimetres") != null) {
            fact(writing, id, "height", row.getInt("height_decimetres") / 10.0, "m");
        }
        for (WrittenReading reading : readings.written(row.getString("readings"), writing.called())) {
            for (int i = 0; i < Math.max(1, reading.looks().size()); i++) {
                look(writing, id, reading, i);
            }
        }
    }

    private static void fact(Writing writing, String id, String type, Object value, String unit) throws IOException {
        writing.archive().row(id, id + "/" + type.replace(' ', '-'), type, value, unit, null, null, null, null, null);
    }

    private static void look(Writing writing, String id, WrittenReading reading, int i) throws IOException {
        boolean nothing = reading.looks().isEmpty();
        WrittenReading.Look look = nothing ? null : reading.looks().get(i);
        writing.archive()
                .row(
                        id,
                        URN + reading.id() + "/" + (i + 1),
                        reading.character().name(),
                        nothing
                                ? reading.seen()
                                : look.state() != null ? look.state().name() : look.value(),
                        nothing || look.state() != null ? null : reading.unit(),
                        nothing ? null : look.error(),
                        reading.by(),
                        reading.on(),
                        "sheet " + reading.group() + ", version " + reading.sheetVersion() + ", character "
                                + reading.character().id(),
                        remarks(reading));
    }

    private static String remarks(WrittenReading reading) {
        StringBuilder words = new StringBuilder();
        for (String one : new String[] {reading.certainty(), reading.material(), reading.position()}) {
            if (one != null) {
                words.append(words.isEmpty() ? "" : "; ").append(one);
            }
        }
        return words.toString();
    }

    private void signed(Writing writing, ResultSet row) throws IOException, SQLException {
        WrittenDetermination one = signatures.written(row, writing.called());
        writing.archive()
                .row(
                        URN + one.treeId(),
                        URN + one.id(),
                        one.name().scientific(),
                        one.name().authorship(),
                        one.name().rank(),
                        one.name().common(),
                        one.by(),
                        one.on(),
                        "sheet " + one.group() + ", version " + one.sheetVersion(),
                        one.review() ? "reviewed" : one.blind() ? "signed blind" : "signed",
                        explained(one));
    }

    private static String explained(WrittenDetermination one) {
        StringBuilder words = new StringBuilder("outcome " + one.outcome());
        add(words, "tier", one.tier());
        add(words, "share", one.share() == null ? null : String.format(Locale.ROOT, "%.4f", one.share()));
        add(words, "confirming", String.join(", ", one.confirming()));
        add(words, "contrary", String.join(", ", one.contrary()));
        add(words, "contested", String.join(", ", one.reasons()));
        add(words, "note", one.note());
        return words.toString();
    }

    private static void add(StringBuilder words, String what, String value) {
        if (value != null && !value.isEmpty()) {
            words.append("; ").append(what).append(": ").append(value);
        }
    }

    private void photo(Writing writing, ResultSet row) throws IOException, SQLException {
        writing.archive()
                .row(
                        URN + row.getString("tree_id"),
                        URN + row.getString("id"),
                        file(row),
                        "StillImage",
                        row.getString("media_type"),
                        row.getString("character_id"),
                        writing.called().apply(row.getString("call_sign")),
                        row.getString("day"),
                        writing.rules().license(),
                        writing.rules().rightsHolder());
    }

    private static String file(ResultSet row) throws SQLException {
        return "photos/" + row.getString("id") + "."
                + row.getString("media_type").replaceFirst(".*/", "");
    }
}
